import type { Build } from '../../model/index.ts';
import type { BodyKind } from '../slices/body.ts';
import { usualVehicle } from './usualVehicle.ts';

type Use = Build['brief']['use'];

/** The body that a use makes likely: a first answer. */
const likely: Readonly<Record<Use, BodyKind>> = {
  road: 'car',
  'two-or-three-wheeler': 'three-wheeler',
  'off-road': 'open-frame',
  competition: 'single-seater',
};

/** The vehicle of a new build before anything was put on its map. */
export const bareVehicle = (use: Use) => ({
  vehicle: usualVehicle(likely[use]),
  sheets: [],
  solids: [],
  hotRuns: [],
  movingZones: [],
  edges: [],
  mountingLines: [],
  spaces: [],
  hardPoints: [],
  otherLines: [],
  tanks: [],
  routes: [],
});
