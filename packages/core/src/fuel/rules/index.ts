import type { BuildRule } from '../../model/index.ts';
import type { FuelChecked } from '../checked.ts';
import { coldStart } from './coldStart.ts';
import { fluidRules } from './fluidRules.ts';
import { injectorRules } from './injectorRules.ts';
import { rowRules } from './rowRules.ts';
import { seatingRules } from './seatingRules.ts';
import { tankFittingRules } from './tankFittings.ts';
import { tankStarves } from './tankStarves.ts';
import { unpoweredPump } from './unpoweredPump.ts';

export { FEED_VELOCITY_STOP } from './feedVelocity.ts';
export { railImbalance } from './railBalance.ts';
export { SAG_GOOD, SAG_STOP } from './railSag.ts';
export { suctionHead } from './suctionRules.ts';
export { surgeFails } from './surgeRules.ts';
export { vapourInRun } from './vapourRules.ts';

/** Checks of injectors, pumps and circuits. */
export const fuelRules: readonly BuildRule<FuelChecked>[] = [
  coldStart,
  ...injectorRules,
  ...rowRules,
  ...seatingRules,
  ...tankFittingRules,
  ...fluidRules,
  unpoweredPump,
  tankStarves,
];
