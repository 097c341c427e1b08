import type { BuildRule } from '../../model/index.ts';
import type { EngineChecked } from '../checked.ts';
import { demandDisagreement } from './demandDisagreement.ts';
import { inductionBoost } from './inductionBoost.ts';
import { fuelSeason } from './fuelSeason.ts';

/** Checks of demand and fuels. */
export const engineRules: readonly BuildRule<EngineChecked>[] = [
  inductionBoost,
  demandDisagreement,
  fuelSeason,
];
