import { entryAt } from '../../numerics/index.ts';
import { type PlanePoint, type PlaneSegment, apart, doCross } from './planeSegments.ts';
import { type RootedTree, type TreeEdge, rootedTree } from './rootedTree.ts';

/** A tree laid flat: where its nodes lie, m, every edge straight and as long as it is. */
export interface FlatTree {
  readonly places: ReadonlyMap<string, PlanePoint>;
  /** pairs of edges that cross: none where what was laid is a tree */
  readonly crossings: number;
}

/** What a crossing costs: more than anything else can. */
const CROSSING = 1e6;
/** Edges of one node are at least so far from each other where that can be, rad; others m apart. */
const NARROW = (35 * Math.PI) / 180;
const GAP = 0.05;
/** A branch leaves best at so much, rad. */
const SQUARE = (65 * Math.PI) / 180;
const SWEEPS = 6;
/**
 * So many pairs of edges are compared while a tree is laid, a few seconds' work: the largest loom of the
 * demos needs a fifteenth of it. What is laid by then stays as it is.
 */
const MOST_PAIRS = 4e6;
const STEP = Math.PI / 12;
/** Directions in which a branch is tried, from straight on. */
const TURNS = Array.from({ length: 19 }, (_, k) => (k - 9) * STEP);
/** Directions of the first branches of a node, then the next. */
const FIRST = [1, -1, 1.5, -1.5, 0.5, -0.5, 2, -2].map((k) => k * (Math.PI / 3));

const turned = (angle: number): number => Math.atan2(Math.sin(angle), Math.cos(angle));

/** A tree while it is laid: directions of its edges, and where their outer ends lie. */
class Laying {
  private readonly directions: number[];
  private readonly ends: PlanePoint[] = [];
  private readonly within: readonly (readonly number[])[];
  private readonly inside: readonly ReadonlySet<number>[];
  /** pairs of edges that were compared so far */
  private compared = 0;

  constructor(
    private readonly tree: RootedTree,
    directions: readonly number[],
  ) {
    this.directions = [...directions];
    const within: number[][] = tree.hanging.map((_, at) => [at]);
    for (let at = tree.hanging.length - 1; at >= 0; at -= 1) {
      const { on } = entryAt(tree.hanging, at);
      if (on >= 0) entryAt(within, on).push(...entryAt(within, at));
    }
    this.within = within.map((list) => list.sort((a, b) => a - b));
    this.inside = this.within.map((list) => new Set(list));
    tree.hanging.forEach((_, at) => {
      this.ends[at] = this.endOf(at, entryAt(this.directions, at), this.beginOf(at));
    });
  }

  private beginOf(at: number, ends: readonly PlanePoint[] = this.ends): PlanePoint {
    const { on } = entryAt(this.tree.hanging, at);
    return on < 0 ? [0, 0] : entryAt(ends, on);
  }

  private endOf(at: number, direction: number, [x, y]: PlanePoint): PlanePoint {
    const { length } = entryAt(this.tree.hanging, at).edge;
    return [x + length * Math.cos(direction), y + length * Math.sin(direction)];
  }

  private segment(at: number, ends: readonly PlanePoint[]): PlaneSegment {
    return [this.beginOf(at, ends), entryAt(ends, at)];
  }

  /** Straight on from what an edge hangs on; of the root along x. */
  private onward(at: number): number {
    const { on } = entryAt(this.tree.hanging, at);
    return on < 0 ? 0 : entryAt(this.directions, on);
  }

  /** What two edges cost beside each other. */
  private pair(
    a: number,
    b: number,
    ends: readonly PlanePoint[],
    directions: readonly number[],
  ): number {
    const [first, second] = [entryAt(this.tree.hanging, a), entryAt(this.tree.hanging, b)];
    const [da, db] = [entryAt(directions, a), entryAt(directions, b)];
    const between =
      first.on === second.on
        ? Math.abs(turned(da - db))
        : second.on === a || first.on === b
          ? Math.PI - Math.abs(turned(da - db))
          : undefined;
    if (between !== undefined) {
      if (between < 1e-6) return CROSSING;
      return between < NARROW ? 4 * (1 - between / NARROW) ** 2 : 0;
    }
    const [s, t] = [this.segment(a, ends), this.segment(b, ends)];
    if (
      Math.min(s[0][0], s[1][0]) - GAP > Math.max(t[0][0], t[1][0]) ||
      Math.min(t[0][0], t[1][0]) - GAP > Math.max(s[0][0], s[1][0]) ||
      Math.min(s[0][1], s[1][1]) - GAP > Math.max(t[0][1], t[1][1]) ||
      Math.min(t[0][1], t[1][1]) - GAP > Math.max(s[0][1], s[1][1])
    ) {
      return 0;
    }
    const distance = apart(s, t);
    if (distance < 1e-6) return CROSSING;
    return distance < GAP ? 6 * (1 - distance / GAP) ** 2 : 0;
  }

  /** What the direction of an edge costs by itself: the longest way goes straight on, branches off it. */
  private bent(at: number, directions: readonly number[]): number {
    const { on } = entryAt(this.tree.hanging, at);
    const among = on < 0 ? this.tree.first : entryAt(this.tree.hanging, on).children;
    const by = Math.abs(turned(entryAt(directions, at) - this.onward(at)));
    return among[0] === at ? 6 * (by / SQUARE) ** 2 : 0.3 * ((by - SQUARE) / SQUARE) ** 2;
  }

  private costOf(at: number, ends: readonly PlanePoint[], directions: readonly number[]): number {
    const mine = entryAt(this.inside, at);
    let cost = this.bent(at, directions);
    this.compared += mine.size * (this.tree.hanging.length - mine.size);
    for (const own of entryAt(this.within, at)) {
      for (let other = 0; other < this.tree.hanging.length; other += 1) {
        if (!mine.has(other)) cost += this.pair(own, other, ends, directions);
      }
    }
    // A board is as long as it has to be, and no higher.
    let [low, high] = [0, 0];
    for (const [, y] of ends) [low, high] = [Math.min(low, y), Math.max(high, y)];
    return cost + 4 * (high - low);
  }

  /** Turns an edge with all that hangs on it to where it costs least; whether it was turned. */
  settle(at: number): boolean {
    if (this.compared >= MOST_PAIRS) return false;
    const [ends, directions] = [[...this.ends], [...this.directions]];
    const best = {
      cost: this.costOf(at, this.ends, this.directions) - 1e-9,
      at: undefined as { readonly ends: PlanePoint[]; readonly directions: number[] } | undefined,
    };
    const before = entryAt(this.directions, at);
    for (const turn of TURNS) {
      for (const side of [1, -1]) {
        const to = this.onward(at) + turn;
        for (const own of entryAt(this.within, at)) {
          const was = entryAt(this.directions, own) - before;
          directions[own] = to + side * was;
          ends[own] = this.endOf(own, to + side * was, this.beginOf(own, ends));
        }
        const cost = this.costOf(at, ends, directions);
        if (cost < best.cost) {
          best.cost = cost;
          best.at = { ends: [...ends], directions: [...directions] };
        }
      }
    }
    if (!best.at) return false;
    for (const own of entryAt(this.within, at)) {
      this.directions[own] = entryAt(best.at.directions, own);
      this.ends[own] = entryAt(best.at.ends, own);
    }
    return true;
  }

  crossings(): number {
    const count = this.tree.hanging.length;
    let found = 0;
    for (let a = 0; a < count; a += 1) {
      for (let b = 0; b < a; b += 1) {
        if (doCross(this.segment(a, this.ends), this.segment(b, this.ends))) found += 1;
        else if (this.pair(a, b, this.ends, this.directions) >= CROSSING) found += 1;
      }
    }
    return found;
  }

  laid(): FlatTree {
    return {
      places: new Map([
        [this.tree.root, [0, 0]],
        ...this.tree.hanging.map(({ node }, at) => [node, entryAt(this.ends, at)] as const),
      ]),
      crossings: this.crossings(),
    };
  }
}

/** The longest way straight on, branches to both sides of it. */
function asComb({ hanging, first }: RootedTree): readonly number[] {
  const directions: number[] = [];
  let side = 1;
  const lay = (children: readonly number[], onward: number): void =>
    children.forEach((at, k) => {
      directions[at] = k === 0 ? onward : onward + side * entryAt(FIRST, (k - 1) % FIRST.length);
    });
  lay(first, 0);
  hanging.forEach(({ children }, at) => {
    lay(children, entryAt(directions, at));
    if (children.length > 1) side = -side;
  });
  return directions;
}

/**
 * Every node has a sector of its own, of at most half a turn, in which all lies that hangs on it:
 * nothing crosses, whatever the lengths.
 */
function inSectors({ hanging, first }: RootedTree): readonly number[] {
  const directions: number[] = [];
  const sectors: (readonly [number, number])[] = [];
  const share = (children: readonly number[], [low, high]: readonly [number, number]): void => {
    const ends = children.reduce((all, at) => all + entryAt(hanging, at).ends, 0);
    let from = low;
    for (const at of children) {
      const to = from + ((high - low) * entryAt(hanging, at).ends) / ends;
      const middle = (from + to) / 2;
      const half = Math.min((to - from) / 2, Math.PI / 2);
      sectors[at] = [middle - half, middle + half];
      directions[at] = middle;
      from = to;
    }
  };
  share(first, first.length === 1 ? [-Math.PI / 2, Math.PI / 2] : [-Math.PI, Math.PI]);
  hanging.forEach(({ children }, at) => share(children, entryAt(sectors, at)));
  return directions;
}

function improved(tree: RootedTree, directions: readonly number[]): FlatTree {
  const laying = new Laying(tree, directions);
  for (let sweep = 0; sweep < SWEEPS; sweep += 1) {
    const turned = tree.hanging.map((_, at) => laying.settle(at));
    if (!turned.includes(true)) break;
  }
  return laying.laid();
}

/**
 * Lays a tree flat with its true lengths and no crossing: the longest way along x, branch angles as
 * they fit. Edges that close a loop, and what does not hang together with the first, are left out. A tree
 * of hundreds of edges is laid in the same bounded work, without a crossing, but less even.
 */
export function flatTree(edges: readonly TreeEdge[]): FlatTree {
  if (edges.length === 0) return { places: new Map(), crossings: 0 };
  const tree = rootedTree(edges);
  const comb = improved(tree, asComb(tree));
  return comb.crossings === 0 ? comb : improved(tree, inSectors(tree));
}
