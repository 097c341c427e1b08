import {
  type FluidResult,
  type RunningPoint,
  type SolvedCircuit,
  type WarmStart,
  scalePoint,
  solvePoint,
} from '../fuel/index.ts';
import type { Measure } from '../results/index.ts';
import type { Checked } from './checked.ts';

/** The checks that can give out as power rises. */
export const rungChecks = [
  'injector-duty',
  'pump-flow',
  'lift',
  'sag',
  'suction',
  'feed-velocity',
  'return',
  'regulator',
  'wire',
  'fuse',
  'driver',
  'alternator',
] as const;
export type RungCheck = (typeof rungChecks)[number];

/** A check that is tried at powers, as a factor on the target. */
export interface Check {
  readonly check: RungCheck;
  readonly label: string;
  readonly limit: Measure;
  readonly fails: (factor: number) => boolean;
}

/** What is out of order while the ladder is climbed. */
export type Loss = Pick<RunningPoint, 'lostPump' | 'lostRow'>;

/** Remembers solves by factor, so that checks on one point share them. */
export function solverOf(checked: Checked, fluid: FluidResult, base: RunningPoint) {
  const known = new Map<number, { point: RunningPoint; solved: SolvedCircuit | undefined }>();
  // Each factor starts from the last that was solved: the order in which they come is fixed.
  let warm: WarmStart | undefined;
  return (factor: number) => {
    let entry = known.get(factor);
    if (!entry) {
      const point = scalePoint(checked.design, base, factor);
      const solution = solvePoint(checked.design, fluid.design, point, { warm });
      if (solution.state === 'converged') warm = solution.warm;
      entry = { point, solved: solution.state === 'converged' ? solution : undefined };
      known.set(factor, entry);
    }
    return entry;
  };
}
