import { sum } from '../../../numerics/index.ts';
import { type Bar, type Prepared, SAME } from './problem.ts';

/** The longest measure that every length is a multiple of, to a tenth of a millimetre; 0 where there is none. */
export function commonStep(lengths: readonly number[]): number {
  const tenths = lengths.map((length) => Math.round(length * 1e4));
  if (lengths.some((length, i) => Math.abs(length * 1e4 - (tenths[i] ?? 0)) > 1e-6)) return 0;
  const common = (a: number, b: number): number => (b === 0 ? a : common(b, a % b));
  return tenths.reduce(common, 0) / 1e4;
}

/** A length rounded up to what can be bought in all: whole steps of the lengths that are sold. */
export function boughtUpTo(length: number, stock: readonly Bar[]): number {
  const step = commonStep(stock.map((bar) => bar.length));
  return step > 0 ? step * Math.ceil(length / step - 1e-6) : length;
}

/** Sets of offcuts up to this many are looked at one by one for the bound of what is touched. */
export const COUNTED_OFFCUTS = 14;

/** What has to be bought and touched at least, by what bars hold. */
export interface CapacityBounds {
  /** least that has to be bought for what still takes so much, m */
  leastBought(takes: number, free: readonly Bar[]): number;
  /** least of the offcuts that has to be touched when so much is bought, m */
  leastTouched(takes: number, bought: number, free: readonly Bar[]): number;
}

function leastLengthHolding(lacking: number, free: readonly Bar[]): number {
  if (free.length > COUNTED_OFFCUTS) {
    return lacking * Math.min(1, ...free.map(({ length, holds }) => length / holds));
  }
  let least = Infinity;
  for (let set = 1; set < 1 << free.length; set++) {
    let [holds, length] = [0, 0];
    for (let i = 0; i < free.length; i++) {
      if (!(set & (1 << i))) continue;
      holds += free[i]?.holds ?? 0;
      length += free[i]?.length ?? 0;
    }
    if (holds >= lacking - SAME && length < least) least = length;
  }
  return least;
}

/** Bounds by capacity alone: as if pieces could be poured. */
export function capacityBounds({ stock, kerf }: Prepared): CapacityBounds {
  // Buying is cheapest where a length holds most beyond itself: in the shortest ones.
  const cheapest = Math.min(1, ...stock.map(({ length, holds }) => length / holds));
  const shortest = stock.at(-1)?.length ?? Infinity;
  return {
    leastBought: (takes, free) => {
      const lacking = takes - sum(free.map(({ holds }) => holds));
      return lacking > SAME ? boughtUpTo(lacking * cheapest, stock) : 0;
    },
    leastTouched: (takes, bought, free) => {
      const held = bought + (bought > SAME ? kerf * Math.floor(bought / shortest + 1e-9) : 0);
      const lacking = takes - held;
      return lacking > SAME ? leastLengthHolding(lacking, free) : 0;
    },
  };
}
