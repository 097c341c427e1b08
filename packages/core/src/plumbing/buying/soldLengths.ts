import type { CuttingProblem } from './cutting/index.ts';

/** In which lengths something is sold, m; 0 where nobody says it. */
export interface SoldIn {
  readonly soldStep: number;
  readonly soldUpTo: number;
}

/** Lengths in which something is sold, m; as it usually is where nobody says it. */
export function soldLengths(
  { soldStep, soldUpTo }: SoldIn,
  usual: { readonly step: number; readonly upTo: number },
): number[] {
  const step = soldStep > 0 ? soldStep : usual.step;
  const upTo = soldUpTo > 0 ? soldUpTo : usual.upTo;
  const count = Math.max(1, Math.floor(upTo / step + 1e-9));
  return Array.from({ length: count }, (_, i) => step * (i + 1));
}

/** What is cut of which lengths; undefined where a piece is longer than all that there is. */
export function whereLongEnough(problem: CuttingProblem): CuttingProblem | undefined {
  const longest = Math.max(...problem.stock, ...problem.offcuts.map(({ length }) => length));
  return problem.pieces.every(({ length }) => length <= longest) ? problem : undefined;
}
