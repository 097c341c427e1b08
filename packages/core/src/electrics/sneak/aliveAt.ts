import type { Taker } from './condensed.ts';

/** A coil that has pulled holds from so many volts on: relays are sure to let go under a tenth of 12 V. */
export const COIL_HOLDS = 1.2;
/** Electronics wake at so many volts. */
const WAKES = 5;
/** A lamp glows, a motor moves from this share of its voltage on. */
const STIRS = 0.15;

/** Volts from which on a load is alive: its coil holds, its electronics wake, it glows or moves. */
export function aliveAt({ part, load }: Pick<Taker, 'part' | 'load'>): number {
  if (part.sort === 'relay') return COIL_HOLDS;
  return load.behaviour === 'electronic' ? WAKES : STIRS * load.voltage;
}
