import { BadInput } from '../../quantities/index.ts';

/** What is to be cut, and from what; all lengths in m. */
export interface CuttingProblem {
  readonly pieces: readonly { readonly id: string; readonly length: number }[];
  /** lengths in which it can be bought, as many of each as one wants */
  readonly stock: readonly number[];
  /** what is at hand, each once */
  readonly offcuts: readonly { readonly id: string; readonly length: number }[];
  /** what a cut takes */
  readonly kerf: number;
}

/** One length that is bought, or an offcut that is touched, with what is cut from it in order. */
export interface CutLength {
  readonly length: number;
  /** the offcut that it is; undefined for a length that is bought */
  readonly offcutId: string | undefined;
  readonly pieces: readonly string[];
  /** what stays of it, m */
  readonly rest: number;
}

/** Which lengths are cut into what. */
export interface CuttingPlan {
  readonly lengths: readonly CutLength[];
  /** m that are bought */
  readonly bought: number;
  /** m of the lengths that are touched which are no pieces */
  readonly waste: number;
  /** no plan buys less than this, m */
  readonly bound: number;
  /** no plan buys less, and none that buys as little wastes less */
  readonly proven: boolean;
}

/** A search that is walked in steps: it has a plan from the first step on. */
export interface CuttingSearch {
  readonly plan: CuttingPlan;
  readonly done: boolean;
  /** looks at so many further choices */
  step(count: number): void;
}

/** Lengths that differ by less are the same, m. */
const SAME = 1e-9;

/** A length with what it takes of a bar whose end is free: n pieces cost n − 1 cuts. */
interface Piece {
  readonly id: string;
  readonly length: number;
  readonly takes: number;
}

/** A bar that pieces can go into: what they may take together. */
interface Bar {
  readonly length: number;
  readonly holds: number;
  readonly offcutId: string | undefined;
}

interface Filled {
  readonly bar: Bar;
  readonly pieces: readonly Piece[];
}

/** Plans are better that buy less, and of those that touch less of the offcuts. */
interface Cost {
  readonly bought: number;
  readonly touched: number;
}
const isLess = (a: Cost, b: Cost): boolean =>
  a.bought < b.bought - SAME || (a.bought < b.bought + SAME && a.touched < b.touched - SAME);

const sum = (values: readonly number[]): number => values.reduce((total, each) => total + each, 0);

/** The longest measure that every length is a multiple of, to a tenth of a millimetre. */
function commonStep(lengths: readonly number[]): number {
  const tenths = lengths.map((length) => Math.round(length * 1e4));
  if (lengths.some((length, i) => Math.abs(length * 1e4 - (tenths[i] ?? 0)) > 1e-6)) return 0;
  const common = (a: number, b: number): number => (b === 0 ? a : common(b, a % b));
  return tenths.reduce(common, 0) / 1e4;
}

/** Sets of offcuts up to this many are looked at one by one for the bound of what is touched. */
const COUNTED_OFFCUTS = 14;

function check({ pieces, stock, offcuts, kerf }: CuttingProblem): void {
  const longest = Math.max(0, ...stock, ...offcuts.map(({ length }) => length));
  const wrong = pieces.find(({ length }) => !(length > 0) || length > longest + SAME);
  if (wrong) {
    throw new BadInput(
      `nothing that can be bought or is at hand is long enough for a piece of ${Math.round(wrong.length * 1e3)} mm`,
      wrong.id,
    );
  }
  if (!(kerf >= 0)) throw new BadInput('a cut takes 0 or more', 'kerf');
  if (stock.some((length) => !(length > 0))) {
    throw new BadInput('lengths that are sold are above 0', 'stock');
  }
}

/**
 * Starts a search for the plan that buys the least length and, of those, touches the least of the
 * offcuts. It walks all fillings that leave no room for a further piece, the fullest first, and ends
 * when none is left or the bound is reached. Throws BadInput for a piece that nothing is long enough for.
 */
export function startCuttingPlan(problem: CuttingProblem): CuttingSearch {
  check(problem);
  const { kerf } = problem;
  const pieces: readonly Piece[] = problem.pieces
    .map(({ id, length }) => ({ id, length, takes: length + kerf }))
    .sort((a, b) => b.length - a.length || (a.id < b.id ? -1 : 1));
  const bar = (length: number, offcutId?: string): Bar => ({
    length,
    holds: length + kerf,
    offcutId,
  });
  const stock = [...new Set(problem.stock)].sort((a, b) => b - a).map((length) => bar(length));
  const offcuts = [...problem.offcuts]
    .sort((a, b) => a.length - b.length || (a.id < b.id ? -1 : 1))
    .map(({ id, length }) => bar(length, id));
  const step = commonStep(problem.stock);
  const upToStep = (length: number): number =>
    step > 0 ? step * Math.ceil(length / step - 1e-6) : length;
  // Buying is cheapest where a length holds most beyond itself: in the shortest ones.
  const cheapest = Math.min(1, ...stock.map(({ length, holds }) => length / holds));
  const shortest = stock.at(-1)?.length ?? Infinity;

  /** Least that has to be bought for what still has to go somewhere. */
  const leastBought = (takes: number, free: readonly Bar[]): number => {
    const lacking = takes - sum(free.map(({ holds }) => holds));
    return lacking > SAME ? upToStep(Math.max(lacking * cheapest, 0)) : 0;
  };
  /** Least of the offcuts that has to be touched when so much is bought. */
  const leastTouched = (takes: number, bought: number, free: readonly Bar[]): number => {
    const held = bought + (bought > SAME ? kerf * Math.floor(bought / shortest + 1e-9) : 0);
    const lacking = takes - held;
    if (lacking <= SAME) return 0;
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
  };

  let best: { readonly cost: Cost; readonly filled: readonly Filled[] } | undefined;
  const wholeTakes = sum(pieces.map(({ takes }) => takes));
  const bound = leastBought(wholeTakes, offcuts);
  const boundTouched = leastTouched(wholeTakes, bound, offcuts);
  const isBound = (): boolean =>
    best !== undefined &&
    best.cost.bought <= bound + SAME &&
    best.cost.touched <= boundTouched + SAME;

  /** Every way to fill up the rest of a bar so that nothing further goes in, the fullest first. */
  function* fillings(
    room: number,
    rest: readonly Piece[],
    from: number,
    taken: readonly number[],
    leftOut: number,
  ): Generator<readonly number[]> {
    for (let i = from; i < rest.length; i++) {
      const piece = rest[i];
      if (!piece || piece.takes > room + SAME) continue;
      yield* fillings(room - piece.takes, rest, i + 1, [...taken, i], leftOut);
      // Without this one: nor with any as long as it; and it may not fit in the end.
      let next = i + 1;
      while (Math.abs((rest[next]?.length ?? -1) - piece.length) < SAME) next++;
      yield* fillings(room, rest, next, taken, Math.min(leftOut, piece.takes));
      return;
    }
    if (leftOut > room + SAME) yield taken;
  }

  function* explore(
    rest: readonly Piece[],
    free: readonly Bar[],
    cost: Cost,
    filled: readonly Filled[],
  ): Generator<void> {
    const [first, ...others] = rest;
    if (!first) {
      if (!best || isLess(cost, best.cost)) best = { cost, filled };
      return;
    }
    const takes = sum(rest.map((piece) => piece.takes));
    const bars = [
      ...free.filter(
        (each, i) => i === 0 || Math.abs((free[i - 1]?.length ?? 0) - each.length) > SAME,
      ),
      ...stock,
    ].filter(({ holds }) => holds >= first.takes - SAME);
    for (const each of bars) {
      const spent: Cost = each.offcutId
        ? { bought: cost.bought, touched: cost.touched + each.length }
        : { bought: cost.bought + each.length, touched: cost.touched };
      const left = free.filter((other) => other !== each);
      for (const taken of fillings(each.holds - first.takes, others, 0, [], Infinity)) {
        yield;
        if (isBound()) return;
        const used = new Set(taken);
        const put = [first, ...others.filter((_, i) => used.has(i))];
        const after = others.filter((_, i) => !used.has(i));
        const after_ = takes - sum(put.map((piece) => piece.takes));
        const bought = spent.bought + leastBought(after_, left);
        const touched = spent.touched + leastTouched(after_, bought - spent.bought, left);
        if (best && !isLess({ bought, touched }, best.cost)) continue;
        yield* explore(after, left, spent, [...filled, { bar: each, pieces: put }]);
        if (isBound()) return;
      }
    }
  }

  const walk = explore(pieces, offcuts, { bought: 0, touched: 0 }, []);
  let done = false;
  const advance = (count: number): void => {
    for (let k = 0; k < count && !done; k++) done = walk.next().done === true;
  };
  // The first walk down always ends in a plan.
  while (!best && !done) advance(1);
  const planOf = (): CuttingPlan => {
    const filled = best?.filled ?? [];
    const { bought, touched } = best?.cost ?? { bought: 0, touched: 0 };
    return {
      lengths: filled.map(({ bar: each, pieces: put }) => ({
        length: each.length,
        offcutId: each.offcutId,
        pieces: put.map(({ id }) => id),
        rest: Math.max(0, each.length - sum(put.map((piece) => piece.takes))),
      })),
      bought,
      waste: bought + touched - sum(pieces.map(({ length }) => length)),
      bound,
      proven: done || isBound(),
    };
  };
  return {
    get plan() {
      return planOf();
    },
    get done() {
      return done || isBound();
    },
    step: (count) => advance(isBound() ? 0 : count),
  };
}

/** Choices that are looked at before a plan is taken that is not proven. */
const ENOUGH = 200_000;
/** So many where a plan is made anew on every edit; it can be looked at further when it is asked for. */
export const AT_ONCE = 3000;

/** The plan that buys least and then wastes least; the best found where that takes too long to prove. */
export function cuttingPlan(problem: CuttingProblem, choices = ENOUGH): CuttingPlan {
  const search = startCuttingPlan(problem);
  if (!search.done) search.step(choices);
  return search.plan;
}
