import { sum } from '../../../numerics/index.ts';
import { BadInput } from '../../../quantities/index.ts';

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

/** Lengths that differ by less are the same, m. */
export const SAME = 1e-9;

/** A length with what it takes of a bar whose end is free: n pieces cost n − 1 cuts. */
export interface Piece {
  readonly id: string;
  readonly length: number;
  readonly takes: number;
}

/** A bar that pieces can go into: what they may take together. */
export interface Bar {
  readonly length: number;
  readonly holds: number;
  readonly offcutId: string | undefined;
}

/** A bar with the pieces that are cut from it. */
export interface Filled {
  readonly bar: Bar;
  readonly pieces: readonly Piece[];
}

/** A problem with its pieces from the longest, the lengths sold from the longest, the offcuts from the shortest. */
export interface Prepared {
  readonly kerf: number;
  readonly pieces: readonly Piece[];
  readonly stock: readonly Bar[];
  readonly offcuts: readonly Bar[];
}

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

/** Pieces and bars of a problem; throws BadInput for a piece that nothing is long enough for. */
export function prepared(problem: CuttingProblem): Prepared {
  check(problem);
  const { kerf } = problem;
  const bar = (length: number, offcutId?: string): Bar => ({
    length,
    holds: length + kerf,
    offcutId,
  });
  return {
    kerf,
    pieces: problem.pieces
      .map(({ id, length }) => ({ id, length, takes: length + kerf }))
      .sort((a, b) => b.length - a.length || (a.id < b.id ? -1 : 1)),
    stock: [...new Set(problem.stock)].sort((a, b) => b - a).map((length) => bar(length)),
    offcuts: [...problem.offcuts]
      .sort((a, b) => a.length - b.length || (a.id < b.id ? -1 : 1))
      .map(({ id, length }) => bar(length, id)),
  };
}

/** The plan that these filled bars are. */
export function planOf(filled: readonly Filled[], bound: number, proven: boolean): CuttingPlan {
  const lengths = filled.map(({ bar, pieces }) => ({
    length: bar.length,
    offcutId: bar.offcutId,
    pieces: pieces.map(({ id }) => id),
    rest: Math.max(0, bar.length - sum(pieces.map(({ takes }) => takes))),
  }));
  return {
    lengths,
    bought: sum(lengths.filter((each) => each.offcutId === undefined).map(({ length }) => length)),
    waste:
      sum(lengths.map(({ length }) => length)) -
      sum(filled.flatMap(({ pieces }) => pieces.map(({ length }) => length))),
    bound,
    proven,
  };
}
