import type { Catalogue } from '../../catalogue/index.ts';
import type { HarnessSchool } from '../model.ts';
import { concentricLayers } from './concentricLayers.ts';
import { coverFor, coverOfSchool } from './coverOf.ts';
import { packedDiameter } from './packedBundle.ts';

/** How thick wires of some outside diameters m are as a school lays and covers them, m; 0 of none. */
export function bundleThickness(
  diameters: readonly number[],
  school: HarnessSchool,
  catalogue: Catalogue,
): number {
  if (diameters.length === 0) return 0;
  const bundle =
    school === 'sealed' ? concentricLayers(diameters).diameter : packedDiameter(diameters);
  const cover = coverOfSchool[school];
  return bundle + 2 * ((cover !== 'none' && coverFor(catalogue, cover, bundle)?.wall) || 0);
}
