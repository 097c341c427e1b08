import type { ProgramSolver } from '../../numerics/index.ts';
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
}

/** How far an allocation is: a first answer, the best there is, or why there is none. */
export type AllocationAnswer =
  | { readonly state: 'first'; readonly pins: Assignment; readonly cost: number }
  | {
      readonly state: 'allocated';
      readonly pins: Assignment;
      readonly cost: number;
      readonly proven: boolean;
    }
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

function isPossible(problem: AllocationProblem, solve: ProgramSolver): boolean {
  const outputs = outputsOf(problem);
  if (outputs.length === 0) return true;
  if (outputs.some((output) => pinsFor(problem, output).length === 0)) return false;
  if (firstAllocation(problem)) return true;
  return solve(allocationProgram(problem, outputs, false).program).status !== 'infeasible';
}

/**
 * The smallest set that conflicts, by deletion filtering (Chinneck and Dravnieks, ORSA Journal on
 * Computing 3 (1991)): whatever is not needed for the contradiction is left out, one after another,
 * so that none of what stays can be missed.
 */
export function conflictOf(problem: AllocationProblem, solve: ProgramSolver): AllocationConflict {
  const obstacles: Obstacle[] = [
    ...problem.totals.map(({ id }): Obstacle => ({ kind: 'total', total: id })),
    ...problem.signals.flatMap((signal): Obstacle[] =>
      signal.locked === undefined ? [] : [{ kind: 'lock', signal: signal.id }],
    ),
    ...outputsOf(problem).map((output): Obstacle => ({ kind: 'output', output })),
  ];
  let needed: readonly Obstacle[] = obstacles;
  for (const each of obstacles) {
    const without = needed.filter((other) => other !== each);
    if (!isPossible(withOnly(problem, without), solve)) needed = without;
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
  };
}

/**
 * Puts every signal on a pin at the least cost, or says what conflicts: a first answer at once
 * where there is one, then the proven one by an integer program. Walk it step by step.
 * Throws BadInput where signals or limits name pins that are not there.
 */
export function* allocate(
  problem: AllocationProblem,
  solve: ProgramSolver,
  seconds?: number,
): Generator<AllocationAnswer, AllocationAnswer> {
  const outputs = outputsOf(problem);
  const first = firstAllocation(problem);
  if (first) yield { state: 'first', pins: first, cost: allocationCost(problem, first) };
  if (!first && !isPossible(problem, solve)) {
    return { state: 'conflict', conflict: conflictOf(problem, solve) };
  }
  if (outputs.length === 0) return { state: 'allocated', pins: new Map(), cost: 0, proven: true };
  const { program, read } = allocationProgram(problem, outputs);
  const answer = solve(program, seconds);
  if (answer.status === 'infeasible') {
    // Only a solver that was stopped before it had an answer comes here.
    const pins = first ?? new Map<string, string>();
    return { state: 'allocated', pins, cost: allocationCost(problem, pins), proven: false };
  }
  const found = inSequence(problem, read(answer.amounts));
  const better = !first || answer.cost <= allocationCost(problem, first);
  const pins = better ? found : first;
  return {
    state: 'allocated',
    pins,
    cost: allocationCost(problem, pins),
    proven: answer.status === 'optimal',
  };
}
