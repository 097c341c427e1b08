import { unsolved } from './circuitUnsolved.ts';
import { feedVelocity } from './feedVelocity.ts';
import { filterProtection } from './filterProtection.ts';
import { filters } from './filterRules.ts';
import { outsideData, pumpMargin, pumpMounting } from './pumpRules.ts';
import { prime, primeReach } from './primeRule.ts';
import { controllerFeed, onePumpLost, tankHeating } from './pumpSystemRules.ts';
import { railBalance } from './railBalance.ts';
import { sag } from './railSag.ts';
import { hoseRating } from './ratingRules.ts';
import { regulatorRange } from './regulatorRange.ts';
import { returnRule } from './returnRules.ts';
import { liftDuty, surgeLift, surgeVolume } from './surgeRules.ts';
import { changeOver, hysteresis, neverStarts } from './steppedPumps.ts';
import { suctionHead, suctionVelocity } from './suctionRules.ts';
import { transitionalFlow } from './transitionalFlow.ts';
import { vapourAtRest, vapourInRun } from './vapourRules.ts';

/** Checks on the solved fuel circuits. */
export const fluidRules = [
  unsolved,
  sag,
  pumpMargin,
  pumpMounting,
  outsideData,
  suctionHead,
  suctionVelocity,
  feedVelocity,
  vapourInRun,
  vapourAtRest,
  returnRule('hotIdle'),
  returnRule('overrun'),
  regulatorRange,
  filters,
  filterProtection,
  hoseRating,
  transitionalFlow,
  railBalance,
  primeReach,
  prime,
  surgeLift,
  surgeVolume,
  liftDuty,
  onePumpLost,
  changeOver,
  hysteresis,
  neverStarts,
  tankHeating,
  controllerFeed,
];
