import { type Bar, type Piece, type Prepared, SAME } from './problem.ts';

/** Pieces of one length. */
export interface PieceGroup {
  readonly takes: number;
  readonly pieces: readonly Piece[];
}

/** Bars of one length that are bought, or offcuts of one length. */
export interface BarKind {
  readonly length: number;
  readonly holds: number;
  /** the offcuts; undefined where as many are sold as one wants */
  readonly offcuts: readonly Bar[] | undefined;
}

/** How many of each group are cut from a bar of a kind. */
export interface Pattern {
  readonly kind: number;
  readonly counts: readonly number[];
}

/** Pieces and bars of a problem, those that are alike together. */
export interface Grouped {
  readonly groups: readonly PieceGroup[];
  readonly kinds: readonly BarKind[];
}

function alike<T>(sorted: readonly T[], measure: (each: T) => number): T[][] {
  const together: T[][] = [];
  for (const each of sorted) {
    const last = together.at(-1);
    if (last?.[0] !== undefined && Math.abs(measure(last[0]) - measure(each)) < SAME) {
      last.push(each);
    } else together.push([each]);
  }
  return together;
}

/** Puts together what is of one length. */
export const grouped = ({ pieces, stock, offcuts }: Prepared): Grouped => ({
  groups: alike(pieces, ({ length }) => length).map((same) => ({
    takes: same[0]?.takes ?? 0,
    pieces: same,
  })),
  kinds: [
    ...stock.map(({ length, holds }) => ({ length, holds, offcuts: undefined })),
    ...alike(offcuts, ({ length }) => length).map((same) => ({
      length: same[0]?.length ?? 0,
      holds: same[0]?.holds ?? 0,
      offcuts: same,
    })),
  ],
});

/** A tenth of a millimetre, m: what lengths are counted in at the finest. */
const FINEST = 1e-4;
/** The longest bar is counted in no more steps than this. */
const MOST_STEPS = 100_000;

/**
 * Whole steps in which everything is counted. Where lengths are no whole steps, pieces are taken as
 * a little shorter and bars as a little longer: what is found is then a bound, not always a plan.
 */
export function inSteps({ groups, kinds }: Grouped): {
  readonly takes: readonly number[];
  readonly holds: readonly number[];
} {
  const longest = Math.max(0, ...kinds.map(({ holds }) => holds));
  const fine = Math.max(FINEST, longest / MOST_STEPS);
  const takes = groups.map((group) => Math.floor(group.takes / fine + 1e-6));
  const holds = kinds.map((kind) => Math.ceil(kind.holds / fine - 1e-6));
  const common = (a: number, b: number): number => (b === 0 ? a : common(b, a % b));
  const coarse = Math.max(1, takes.reduce(common, 0));
  return {
    takes: takes.map((each) => each / coarse),
    holds: holds.map((each) => Math.floor(each / coarse)),
  };
}

/** What a bar can hold at most when each piece of a group is worth so much. */
export class WorthTable {
  /** best worth of the groups before the one of the row, at each room */
  private readonly rows: Float64Array[];

  constructor(
    private readonly takes: readonly number[],
    private readonly most: readonly number[],
    private readonly worth: readonly number[],
    room: number,
  ) {
    this.rows = [new Float64Array(room + 1)];
    takes.forEach((step, i) => {
      const row = Float64Array.from(this.rows[i] ?? []);
      const each = worth[i] ?? 0;
      for (let copy = 0; copy < (most[i] ?? 0) && each > 0; copy++) {
        let changed = false;
        for (let c = room; c >= step; c--) {
          const with_ = (row[c - step] ?? 0) + each;
          if (with_ > (row[c] ?? 0)) {
            row[c] = with_;
            changed = true;
          }
        }
        if (!changed) break;
      }
      this.rows.push(row);
    });
  }

  private best(groups: number, room: number): number {
    return this.rows[groups]?.[room] ?? 0;
  }

  /** The worth of the best filling of this room. */
  bestWorth(room: number): number {
    return this.best(this.takes.length, room);
  }

  /**
   * Every filling of a room that is worth at least so much and leaves no room for a further piece;
   * the best ones need not come first. Ends early after `most` of them.
   */
  fillings(room: number, atLeast: number, most: number): number[][] {
    const found: number[][] = [];
    const counts = this.takes.map(() => 0);
    const walk = (i: number, left: number, worth: number): void => {
      if (found.length >= most || worth + this.best(i, left) < atLeast) return;
      if (i === 0) {
        const roomFor = this.takes.some((step, g) => step <= left && counts[g]! < this.most[g]!);
        if (!roomFor) found.push([...counts]);
        return;
      }
      const step = this.takes[i - 1]!;
      const upTo = Math.min(this.most[i - 1]!, Math.floor(left / step));
      for (let count = upTo; count >= 0; count--) {
        counts[i - 1] = count;
        walk(i - 1, left - count * step, worth + count * this.worth[i - 1]!);
      }
      counts[i - 1] = 0;
    };
    walk(this.takes.length, room, 0);
    return found;
  }
}
