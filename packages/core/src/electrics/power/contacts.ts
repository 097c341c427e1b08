import type { Joint } from '../netlist/terminal.ts';

/**
 * Resistance Ω of a joint besides its crimp, defaults of the trade. What a holder adds belongs to
 * the fuse or the relay that sits in it and is counted there.
 */
export const jointResistance: Readonly<Record<Joint, number>> = {
  plug: 5e-3,
  holder: 0,
  lug: 0.1e-3,
  splice: 0,
};

/** Blade fuse with its holder: 0.1 V over the rating. */
export const fuseResistance = (rating: number): number => 0.1 / rating;

/** A crimp on a conductor of area m²: 1/A mΩ with A in mm². */
export const crimpResistance = (area: number): number => 1e-3 / (area * 1e6);
