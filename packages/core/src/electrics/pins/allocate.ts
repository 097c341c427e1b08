import {
  type LinearProgram,
  type ProgramSolution,
  type ProgramSolver,
  type SearchTime,
  searchTime,
} from '../../numerics/index.ts';
import { costOf } from './allocationCost.ts';
import {
  type AllocationProblem,
  type Assignment,
  type OutputNeed,
  outputsOf,
} from './allocationProblem.ts';
import { allocationProgram, pinsFor } from './allocationProgram.ts';
import { inSequence } from './inSequence.ts';
import { firstAllocation } from './firstAllocation.ts';

/** Why not all signals find a pin: those of the set do not, and any of them left out, the others do. */
export interface AllocationConflict {
  /** signals that cannot all have a pin */
  readonly signals: readonly string[];
  /** locks, and limits of currents in all, without which they could */
  readonly locks: readonly string[];
  readonly totals: readonly string[];
  /** every pin that one of them could go on */
  readonly pins: readonly string[];
  /** whether none of them could be left out; false where the time for finding that out was over */
  readonly isSmallest: boolean;
}

/** How far an allocation is: a first answer, the best there is, or why there is none. */
export type AllocationAnswer =
  | { readonly state: 'first'; readonly pins: Assignment; readonly cost: number }
  | {
      readonly state: 'allocated';
      readonly pins: Assignment;
      readonly cost: number;
      readonly proven: boolean;
      /** no way costs less than this */
      readonly bound: number;
    }
  /** the time was over before a way was found, or it was excluded that there is one */
  | { readonly state: 'unknown' }
  | { readonly state: 'conflict'; readonly conflict: AllocationConflict };

/** What an assignment costs: see the cost of a pin. */
export function allocationCost(problem: AllocationProblem, pins: Assignment): number {
  const byId = new Map(problem.pins.map((pin) => [pin.id, pin]));
  return outputsOf(problem).reduce((sum, output) => {
    const pin = byId.get(pins.get(output.signals[0]?.id ?? '') ?? '');
    return pin ? sum + costOf(pin, output) : sum;
  }, 0);
}

/** What keeps signals from their pins, one by one: signals themselves, locks, limits in all. */
type Obstacle =
  | { readonly kind: 'output'; readonly output: OutputNeed }
  | { readonly kind: 'lock'; readonly signal: string }
  | { readonly kind: 'total'; readonly total: string };

/** The problem that is left of one with only these obstacles. */
function withOnly(problem: AllocationProblem, obstacles: readonly Obstacle[]): AllocationProblem {
  const signals = new Set(
    obstacles.flatMap((each) => (each.kind === 'output' ? each.output.signals : [])),
  );
  const locked = new Set(obstacles.flatMap((each) => (each.kind === 'lock' ? each.signal : [])));
  const totals = new Set(obstacles.flatMap((each) => (each.kind === 'total' ? each.total : [])));
  const ids = new Set([...signals].map(({ id }) => id));
  return {
    pins: problem.pins,
    signals: problem.signals
      .filter((signal) => signals.has(signal))
      .map((signal) => ({
        ...signal,
        locked: locked.has(signal.id) ? signal.locked : undefined,
        pairedWith:
          signal.pairedWith !== undefined && ids.has(signal.pairedWith)
            ? signal.pairedWith
            : undefined,
      })),
    totals: problem.totals.filter(({ id }) => totals.has(id)),
  };
}

/** Whether every signal finds a pin; undefined where the time for finding out is over. */
function isPossible(
  problem: AllocationProblem,
  solve: ProgramSolver,
  time: SearchTime,
): boolean | undefined {
  const outputs = outputsOf(problem);
  if (outputs.length === 0) return true;
  if (outputs.some((output) => pinsFor(problem, output).length === 0)) return false;
  if (firstAllocation(problem)) return true;
  const seconds = time.left();
  if (seconds <= 0) return undefined;
  const { status } = solve(allocationProgram(problem, outputs, false).program, seconds);
  return status === 'unknown' ? undefined : status !== 'infeasible';
}

/**
 * The smallest set that conflicts, by deletion filtering (Chinneck and Dravnieks, ORSA Journal on
 * Computing 3 (1991)): whatever is not needed for the contradiction is left out, one after another,
 * so that none of what stays can be missed.
 */
export function conflictOf(
  problem: AllocationProblem,
  solve: ProgramSolver,
  time: SearchTime = searchTime(ALLOCATION_SECONDS),
): AllocationConflict {
  const obstacles: Obstacle[] = [
    ...problem.totals.map(({ id }): Obstacle => ({ kind: 'total', total: id })),
    ...problem.signals.flatMap((signal): Obstacle[] =>
      signal.locked === undefined ? [] : [{ kind: 'lock', signal: signal.id }],
    ),
    ...outputsOf(problem).map((output): Obstacle => ({ kind: 'output', output })),
  ];
  let needed: readonly Obstacle[] = obstacles;
  let isSmallest = true;
  for (const each of obstacles) {
    const without = needed.filter((other) => other !== each);
    const possible = isPossible(withOnly(problem, without), solve, time);
    if (possible === false) needed = without;
    isSmallest &&= possible !== undefined;
  }
  const outputs = needed.flatMap((each) => (each.kind === 'output' ? each.output : []));
  const rest = withOnly(problem, needed);
  return {
    signals: outputs.flatMap(({ signals }) => signals.map(({ id }) => id)),
    locks: needed.flatMap((each) => (each.kind === 'lock' ? each.signal : [])),
    totals: needed.flatMap((each) => (each.kind === 'total' ? each.total : [])),
    pins: [
      ...new Set(outputsOf(rest).flatMap((output) => pinsFor(rest, output).map(({ id }) => id))),
    ],
    isSmallest,
  };
}

/** A search for pins may take so long where no time is given, s. */
export const ALLOCATION_SECONDS = 20;

/** The least that any way can cost: that of parts of pins, where the proof was not finished. */
function costBound(program: LinearProgram, solve: ProgramSolver): number {
  const relaxed = solve({ ...program, whole: false }, BOUND_SECONDS);
  return relaxed.status === 'optimal' ? relaxed.cost : 0;
}
const BOUND_SECONDS = 2;

/**
 * Puts every signal on a pin at the least cost, or says what conflicts: a first answer at once
 * where there is one, then the proven one by an integer program, or the best that was found in the
 * time with the least that any could cost. Walk it step by step.
 * Throws BadInput where signals or limits name pins that are not there.
 */
export function* allocate(
  problem: AllocationProblem,
  solve: ProgramSolver,
  seconds = ALLOCATION_SECONDS,
): Generator<AllocationAnswer, AllocationAnswer> {
  const outputs = outputsOf(problem);
  const time = searchTime(seconds);
  const first = firstAllocation(problem);
  if (first) yield { state: 'first', pins: first, cost: allocationCost(problem, first) };
  const possible = first ? true : isPossible(problem, solve, time);
  if (possible === undefined) return { state: 'unknown' };
  if (!possible) return { state: 'conflict', conflict: conflictOf(problem, solve, time) };
  if (outputs.length === 0) {
    return { state: 'allocated', pins: new Map(), cost: 0, proven: true, bound: 0 };
  }
  const { program, read } = allocationProgram(problem, outputs);
  const answer: ProgramSolution =
    time.left() > 0 ? solve(program, time.left()) : { status: 'unknown' };
  if (answer.status === 'infeasible' || answer.status === 'unknown') {
    if (!first) return { state: 'unknown' };
    const cost = allocationCost(problem, first);
    const bound = Math.min(cost, costBound(program, solve));
    return { state: 'allocated', pins: first, cost, proven: false, bound };
  }
  const found = inSequence(problem, read(answer.amounts));
  const better = !first || answer.cost <= allocationCost(problem, first);
  const pins = better ? found : first;
  const cost = allocationCost(problem, pins);
  const proven = answer.status === 'optimal';
  const bound = proven ? cost : Math.min(cost, costBound(program, solve));
  return { state: 'allocated', pins, cost, proven, bound };
}
