import type { CuttingProblem } from '../plumbing/index.ts';

/** Lengths that are to be cut, from what is sold and what is at hand; all in m. */
export const cuttingProblem = (
  lengths: readonly number[],
  stock: readonly number[],
  offcuts: readonly number[] = [],
  kerf = 0,
): CuttingProblem => ({
  pieces: lengths.map((length, i) => ({ id: `p${i}`, length })),
  stock,
  offcuts: offcuts.map((length, i) => ({ id: `o${i}`, length })),
  kerf,
});
