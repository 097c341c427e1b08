import type { BuildRule } from '../checked.ts';
import { demandRules } from './demandRules.ts';
import { fluidRules } from './fluidRules.ts';
import { injectorRules } from './injectorRules.ts';
import { powerRules } from './powerRules.ts';

/** Every check, in the order of work. */
export const rules: readonly BuildRule[] = [
  ...demandRules,
  ...injectorRules,
  ...fluidRules,
  ...powerRules,
];
