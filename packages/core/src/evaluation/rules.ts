import { electricsRules } from '../electrics/index.ts';
import { engineRules } from '../engine/index.ts';
import { type FuelChecked, fuelRules } from '../fuel/index.ts';
import type { BuildRule } from '../model/index.ts';
import { vehicleRules } from '../vehicle/index.ts';

/** Every check, in the order of work. */
export const rules: readonly BuildRule<FuelChecked>[] = [
  ...engineRules,
  ...fuelRules,
  ...electricsRules,
  ...vehicleRules,
];
