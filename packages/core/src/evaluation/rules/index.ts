import type { BuildRule } from '../checked.ts';
import { demandRules } from './demandRules.ts';
import { fluidRules } from './fluidRules.ts';
import { fuelRules } from './fuelRules.ts';
import { injectorRules } from './injectorRules.ts';
import { powerRules } from './powerRules.ts';
import { rowRules } from './rowRules.ts';

/** Every check, in the order of work. */
export const rules: readonly BuildRule[] = [
  ...demandRules,
  ...fuelRules,
  ...injectorRules,
  ...rowRules,
  ...fluidRules,
  ...powerRules,
];
