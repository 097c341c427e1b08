import { entryAt, firstOf } from '../../numerics/index.ts';
/** A measured set of injectors: spread, and which goes where. */
export interface MatchedSet {
  readonly mean: number;
  /** (max − min) / mean */
  readonly spread: number;
  /** index of the injector for each of two banks, so that their sums come close */
  readonly banks: readonly [readonly number[], readonly number[]];
  /** injectors paired to neighbours in flow, richest pair first: for cylinders that share a wire */
  readonly pairs: readonly (readonly number[])[];
}

/** Judges measured flows m³/s, in the order they were written down. Throws RangeError when empty. */
export function matchedSet(flows: readonly number[]): MatchedSet {
  if (flows.length === 0) throw new RangeError('a set needs at least one flow');
  const mean = flows.reduce((sum, f) => sum + f, 0) / flows.length;
  const sorted = flows
    .map((_, i) => i)
    .sort((a, b) => entryAt(flows, b) - entryAt(flows, a) || a - b);
  const banks: [number[], number[]] = [[], []];
  const sums = [0, 0];
  const most = Math.ceil(flows.length / 2);
  for (const i of sorted) {
    const first =
      banks[1].length >= most || (banks[0].length < most && firstOf(sums) <= entryAt(sums, 1))
        ? 0
        : 1;
    entryAt(banks, first).push(i);
    sums[first]! += entryAt(flows, i);
  }
  const pairs: number[][] = [];
  for (let k = 0; k < sorted.length; k += 2) pairs.push(sorted.slice(k, k + 2));
  return {
    mean,
    spread: (Math.max(...flows) - Math.min(...flows)) / mean,
    banks,
    pairs,
  };
}
