import type { WireShelter } from '../../electrics/index.ts';
import { coverOfSchool } from '../bundles/coverOf.ts';
import type { BundleCover, HarnessSchool } from '../model.ts';
import type { LedWire } from './ledHarness.ts';

/** What the covers of a harness follow from. */
export interface HarnessCovers {
  readonly school: HarnessSchool;
  /** of the segments that have one of their own */
  readonly segments: Readonly<Record<string, BundleCover>>;
}

/** What a cover keeps a wire from; tape only holds a bundle together. */
const shelterOfCover: Readonly<Record<BundleCover, WireShelter | undefined>> = {
  none: undefined,
  tape: undefined,
  conduit: 'sleeved',
  braid: 'sleeved',
  'heat-shrink': 'sealed',
};

/** What lies round each wire over its whole way: the weakest of its segments; none where one is bare. */
export function sheltersOf(
  wires: readonly Pick<LedWire, 'wireId' | 'parts'>[],
  { school, segments }: HarnessCovers,
): Record<string, WireShelter> {
  const shelters: Record<string, WireShelter> = {};
  for (const { wireId, parts } of wires) {
    const along = parts.map(
      ({ segmentId }) => shelterOfCover[segments[segmentId] ?? coverOfSchool[school]],
    );
    if (along.length === 0 || along.includes(undefined)) continue;
    shelters[wireId] = along.includes('sleeved') ? 'sleeved' : 'sealed';
  }
  return shelters;
}
