import type { Fuel } from '../../model/index.ts';

/** Alcohol in a fuel by volume, 0 to 1. */
export const alcoholShare = (fuel: Fuel | undefined): number =>
  fuel?.kind === 'methanol' ? 1 : (fuel?.ethanol.value ?? 0);
