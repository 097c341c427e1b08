import type { Fuel } from '../../model/index.ts';
import { ethanol, petrolE0 } from './pureFuels.ts';

/** Specific heat J/kg·K: petrol 2200, ethanol 2440, methanol 2530; blends by mass. */
export function specificHeat(fuel: Fuel): number {
  if (fuel.kind === 'methanol') return 2530;
  const byVolume = fuel.ethanol.value;
  const alcohol = byVolume * ethanol.density;
  const fraction = alcohol / (alcohol + (1 - byVolume) * petrolE0.density);
  return 2200 + fraction * (2440 - 2200);
}
