import { sum } from '../../../numerics/index.ts';
import { type CapacityBounds, capacityBounds } from './bounds.ts';
import {
  type Bar,
  type CuttingPlan,
  type CuttingProblem,
  type Filled,
  type Piece,
  SAME,
  planOf,
  prepared,
} from './problem.ts';

/** A search that is walked in steps: it has a plan from the first step on. */
export interface CuttingSearch {
  readonly plan: CuttingPlan;
  readonly done: boolean;
  /** looks at so many further choices */
  step(count: number): void;
}

/** Plans are better that buy less, and of those that touch less of the offcuts. */
interface Cost {
  readonly bought: number;
  readonly touched: number;
}
const isLess = (a: Cost, b: Cost): boolean =>
  a.bought < b.bought - SAME || (a.bought < b.bought + SAME && a.touched < b.touched - SAME);

/** Every way to fill up the rest of a bar so that nothing further goes in, the fullest first. */
function fillings(room: number, rest: readonly Piece[]): Generator<readonly number[]> {
  // What all from one on take together.
  const together = [0];
  for (const piece of [...rest].reverse()) together.unshift((together[0] ?? 0) + piece.takes);
  return filled(room, 0, [], Infinity);

  function* filled(
    left: number,
    from: number,
    taken: readonly number[],
    leftOut: number,
  ): Generator<readonly number[]> {
    // With all that may still come in, there would be room for one that was left out.
    if (leftOut <= left - (together[from] ?? 0) + SAME) return;
    for (let i = from; i < rest.length; i++) {
      const piece = rest[i];
      if (!piece || piece.takes > left + SAME) continue;
      yield* filled(left - piece.takes, i + 1, [...taken, i], leftOut);
      // Without this one: nor with any as long as it; and it may not fit in the end.
      let next = i + 1;
      while (Math.abs((rest[next]?.length ?? -1) - piece.length) < SAME) next++;
      yield* filled(left, next, taken, Math.min(leftOut, piece.takes));
      return;
    }
    if (leftOut > left + SAME) yield taken;
  }
}

/** The walk over all ways to fill bars, longest piece first; it gives way after each. */
class Walk {
  best: { readonly cost: Cost; readonly filled: readonly Filled[] } | undefined;
  readonly bound: Cost;

  constructor(
    private readonly stock: readonly Bar[],
    private readonly bounds: CapacityBounds,
    pieces: readonly Piece[],
    offcuts: readonly Bar[],
  ) {
    const takes = sum(pieces.map((piece) => piece.takes));
    const bought = bounds.leastBought(takes, offcuts);
    this.bound = { bought, touched: bounds.leastTouched(takes, bought, offcuts) };
  }

  /** Whether what is found buys and touches as little as anything could. */
  get isBound(): boolean {
    return this.best !== undefined && !isLess(this.bound, this.best.cost);
  }

  *explore(
    rest: readonly Piece[],
    free: readonly Bar[],
    cost: Cost,
    filled: readonly Filled[],
  ): Generator<void> {
    const [first, ...others] = rest;
    if (!first) {
      if (!this.best || isLess(cost, this.best.cost)) this.best = { cost, filled };
      return;
    }
    const takes = sum(rest.map((piece) => piece.takes));
    const bars = [
      ...free.filter(
        (each, i) => i === 0 || Math.abs((free[i - 1]?.length ?? 0) - each.length) > SAME,
      ),
      ...this.stock,
    ].filter(({ holds }) => holds >= first.takes - SAME);
    for (const bar of bars) {
      const spent: Cost = bar.offcutId
        ? { bought: cost.bought, touched: cost.touched + bar.length }
        : { bought: cost.bought + bar.length, touched: cost.touched };
      const left = free.filter((other) => other !== bar);
      for (const taken of fillings(bar.holds - first.takes, others)) {
        yield;
        if (this.isBound) return;
        const used = new Set(taken);
        const put = [first, ...others.filter((_, i) => used.has(i))];
        const stillTakes = takes - sum(put.map((piece) => piece.takes));
        const toBuy = this.bounds.leastBought(stillTakes, left);
        const atLeast: Cost = {
          bought: spent.bought + toBuy,
          touched: spent.touched + this.bounds.leastTouched(stillTakes, toBuy, left),
        };
        if (this.best && !isLess(atLeast, this.best.cost)) continue;
        yield* this.explore(
          others.filter((_, i) => !used.has(i)),
          left,
          spent,
          [...filled, { bar, pieces: put }],
        );
        if (this.isBound) return;
      }
    }
  }
}

/**
 * Starts a search for the plan that buys the least length and, of those, touches the least of the
 * offcuts. It walks all fillings that leave no room for a further piece, the fullest first, and ends
 * when none is left or the bound is reached. Throws BadInput for a piece that nothing is long enough for.
 */
export function startCuttingPlan(problem: CuttingProblem): CuttingSearch {
  const ready = prepared(problem);
  const { pieces, stock, offcuts } = ready;
  const walk = new Walk(stock, capacityBounds(ready), pieces, offcuts);
  const choices = walk.explore(pieces, offcuts, { bought: 0, touched: 0 }, []);
  let walked = false;
  const advance = (count: number): void => {
    for (let k = 0; k < count && !walked; k++) walked = choices.next().done === true;
  };
  // The first walk down always ends in a plan.
  while (!walk.best && !walked) advance(1);
  return {
    get plan() {
      return planOf(walk.best?.filled ?? [], walk.bound.bought, walked || walk.isBound);
    },
    get done() {
      return walked || walk.isBound;
    },
    step: (count) => advance(walk.isBound ? 0 : count),
  };
}

/** Choices that are looked at before a plan is taken that is not proven. */
const ENOUGH = 200_000;
/** So many where a plan is made anew on every edit; it can be proven when it is asked for. */
export const AT_ONCE = 3000;

/** The plan that buys least and then wastes least; the best found where that takes too long to prove. */
export function cuttingPlan(problem: CuttingProblem, choices = ENOUGH): CuttingPlan {
  const search = startCuttingPlan(problem);
  if (!search.done) search.step(choices);
  return search.plan;
}
