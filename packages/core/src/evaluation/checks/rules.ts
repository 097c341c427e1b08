import { electricsRules } from '../../electrics/index.ts';
import { engineRules } from '../../engine/index.ts';
import { fuelRules } from '../../fuel/index.ts';
import type { BuildRule } from '../../model/index.ts';
import { type HarnessChecked, harnessRules } from '../../harness/index.ts';
import { plumbingRules } from '../../plumbing/index.ts';
import { vehicleRules } from '../../vehicle/index.ts';

/** Every check, in the order of work. */
export const rules: readonly BuildRule<HarnessChecked>[] = [
  ...engineRules,
  ...fuelRules,
  ...electricsRules,
  ...vehicleRules,
  ...plumbingRules,
  ...harnessRules,
];
