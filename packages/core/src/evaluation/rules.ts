import { electricsRules } from '../electrics/index.ts';
import { engineRules } from '../engine/index.ts';
import { fuelRules } from '../fuel/index.ts';
import type { BuildRule } from '../model/index.ts';
import { type PlumbingChecked, plumbingRules } from '../plumbing/index.ts';
import { vehicleRules } from '../vehicle/index.ts';

/** Every check, in the order of work. */
export const rules: readonly BuildRule<PlumbingChecked>[] = [
  ...engineRules,
  ...fuelRules,
  ...electricsRules,
  ...vehicleRules,
  ...plumbingRules,
];
