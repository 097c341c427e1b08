import { MinHeap, entryAt } from '../../numerics/index.ts';
import type { NodeKey } from './harnessNode.ts';

/** A segment as its ends and its length m: all that ways through a harness depend on. */
export interface TreeSegment {
  readonly id: string;
  readonly from: NodeKey;
  readonly to: NodeKey;
  readonly length: number;
}

/** A point of a harness: a node, or a place in a segment at a share of it from its beginning. */
export type TreePoint =
  { readonly node: NodeKey } | { readonly segmentId: string; readonly share: number };

/** How much of a segment a way runs through, from and to as shares from its beginning. */
export interface WayPart {
  readonly segmentId: string;
  readonly from: number;
  readonly to: number;
}

/** A way through a harness: the stretches in order, and the nodes passed between its ends. */
export interface HarnessWay {
  readonly parts: readonly WayPart[];
  readonly through: readonly NodeKey[];
  /** m along the segments */
  readonly length: number;
}

interface Step {
  readonly segment: TreeSegment;
  readonly to: NodeKey;
}

/** A node from which a way may begin, and the stretch that leads there, with its length m. */
interface Door {
  readonly node: NodeKey;
  readonly part: WayPart | undefined;
  readonly cost: number;
}

/** A way from node to node: its stretches and its nodes in order. */
interface Passage {
  readonly parts: readonly WayPart[];
  readonly nodes: readonly NodeKey[];
  readonly length: number;
}

/** Where a node hangs in a harness without loops: the step towards its root. */
interface Hung {
  readonly up: Step | undefined;
  readonly depth: number;
}

const along = ({ id, from }: TreeSegment, start: NodeKey): WayPart =>
  start === from ? { segmentId: id, from: 0, to: 1 } : { segmentId: id, from: 1, to: 0 };

/** The segments of a harness as a graph: ways through it, what hangs together, what closes a loop. */
export class HarnessTree {
  private readonly steps = new Map<NodeKey, Step[]>();
  private readonly byId = new Map<string, TreeSegment>();
  private readonly numbers = new Map<NodeKey, number>();
  private readonly nodes: NodeKey[] = [];
  private readonly ways = new Map<NodeKey, Map<NodeKey, HarnessWay | undefined>>();
  private readonly hung: ReadonlyMap<NodeKey, Hung> | undefined;

  constructor(readonly segments: readonly TreeSegment[]) {
    for (const segment of segments) {
      this.byId.set(segment.id, segment);
      this.stepsAt(segment.from).push({ segment, to: segment.to });
      this.stepsAt(segment.to).push({ segment, to: segment.from });
    }
    this.hung = this.loops().length === 0 ? this.hangUp() : undefined;
  }

  /** Every node under the first of its own that has a name: there is one way to each. */
  private hangUp(): ReadonlyMap<NodeKey, Hung> {
    const hung = new Map<NodeKey, Hung>();
    for (const root of this.nodes) {
      if (hung.has(root)) continue;
      hung.set(root, { up: undefined, depth: 0 });
      const open = [root];
      for (let node = open.pop(); node !== undefined; node = open.pop()) {
        const depth = (hung.get(node)?.depth ?? 0) + 1;
        for (const { segment, to } of this.steps.get(node) ?? []) {
          if (hung.has(to)) continue;
          hung.set(to, { up: { segment, to: node }, depth });
          open.push(to);
        }
      }
    }
    return hung;
  }

  private stepsAt(node: NodeKey): Step[] {
    const known = this.steps.get(node);
    if (known) return known;
    const steps: Step[] = [];
    this.steps.set(node, steps);
    this.numbers.set(node, this.nodes.length);
    this.nodes.push(node);
    return steps;
  }

  /** Whether a segment ends at a node. */
  has(node: NodeKey): boolean {
    return this.steps.has(node);
  }

  /** How many segments end at a node. */
  degreeOf(node: NodeKey): number {
    return this.steps.get(node)?.length ?? 0;
  }

  segment(id: string): TreeSegment | undefined {
    return this.byId.get(id);
  }

  /** Nodes from which a way may begin at a point, with the stretch that leads there. */
  private doors(point: TreePoint): Door[] {
    if ('node' in point) {
      return this.has(point.node) ? [{ node: point.node, part: undefined, cost: 0 }] : [];
    }
    const segment = this.byId.get(point.segmentId);
    if (!segment) return [];
    const { segmentId, share } = point;
    return [
      {
        node: segment.from,
        part: { segmentId, from: share, to: 0 },
        cost: share * segment.length,
      },
      {
        node: segment.to,
        part: { segmentId, from: share, to: 1 },
        cost: (1 - share) * segment.length,
      },
    ];
  }

  /** The shortest way between two points; undefined where nothing joins them. */
  way(a: TreePoint, b: TreePoint): HarnessWay | undefined {
    if (!('node' in a && 'node' in b)) return this.search(a, b);
    // Many wires have both ends in common.
    const from = this.ways.get(a.node) ?? new Map<NodeKey, HarnessWay | undefined>();
    this.ways.set(a.node, from);
    if (!from.has(b.node)) from.set(b.node, this.search(a, b));
    return from.get(b.node);
  }

  private search(a: TreePoint, b: TreePoint): HarnessWay | undefined {
    const direct = this.within(a, b);
    const [starts, ends] = [this.doors(a), this.doors(b)];
    const found = this.hung ? this.inTree(starts, ends, this.hung) : this.inGraph(starts, ends);
    if (direct && (!found || direct.length <= found.length)) return direct;
    if (!found) return undefined;
    const parts = [...found.parts];
    const start = starts.find(({ node }) => node === found.nodes[0])?.part;
    const end = ends.find(({ node }) => node === found.nodes.at(-1))?.part;
    if (start && start.from !== start.to) parts.unshift(start);
    if (end && end.from !== end.to) parts.push({ ...end, from: end.to, to: end.from });
    const isEnd = (node: NodeKey): boolean =>
      ('node' in a && a.node === node) || ('node' in b && b.node === node);
    return { parts, through: found.nodes.filter((node) => !isEnd(node)), length: found.length };
  }

  /** The shortest passage from a door to another where no segment closes a loop. */
  private inTree(
    starts: readonly Door[],
    ends: readonly Door[],
    hung: ReadonlyMap<NodeKey, Hung>,
  ): Passage | undefined {
    let best: Passage | undefined;
    for (const start of starts) {
      for (const end of ends) {
        const passage = between(start.node, end.node, hung);
        // Out by one end of a segment and back over it is no way.
        const within = [start.part?.segmentId, end.part?.segmentId];
        if (!passage || passage.parts.some(({ segmentId }) => within.includes(segmentId))) continue;
        const length = start.cost + passage.length + end.cost;
        if (!best || length < best.length) best = { ...passage, length };
      }
    }
    return best;
  }

  /** The shortest passage from a door to another over whatever segments there are. */
  private inGraph(starts: readonly Door[], doors: readonly Door[]): Passage | undefined {
    const ends = new Map(doors.map((door) => [door.node, door]));
    const far = new Map<NodeKey, number>();
    const cameBy = new Map<NodeKey, { readonly from: NodeKey; readonly segment: TreeSegment }>();
    const open = new MinHeap();
    const numberOf = (node: NodeKey): number => this.numbers.get(node) ?? 0;
    for (const { node, cost } of starts) {
      far.set(node, cost);
      open.push(numberOf(node), cost);
    }
    let best: { node: NodeKey; cost: number } | undefined;
    for (let number = open.pop(); number !== undefined; number = open.pop()) {
      const node = entryAt(this.nodes, number);
      const cost = far.get(node) ?? Infinity;
      const end = ends.get(node);
      if (end && (!best || cost + end.cost < best.cost)) best = { node, cost: cost + end.cost };
      for (const { segment, to } of this.steps.get(node) ?? []) {
        const next = cost + segment.length;
        if (next >= (far.get(to) ?? Infinity)) continue;
        far.set(to, next);
        cameBy.set(to, { from: node, segment });
        open.push(numberOf(to), next);
      }
    }
    if (!best) return undefined;
    const parts: WayPart[] = [];
    const nodes: NodeKey[] = [best.node];
    let first = best.node;
    for (let came = cameBy.get(first); came; came = cameBy.get(first)) {
      parts.unshift(along(came.segment, came.from));
      first = came.from;
      nodes.unshift(first);
    }
    return { parts, nodes, length: best.cost };
  }

  /** The way between two points of one segment along it. */
  private within(a: TreePoint, b: TreePoint): HarnessWay | undefined {
    if ('node' in a && 'node' in b) {
      return a.node === b.node && this.has(a.node)
        ? { parts: [], through: [], length: 0 }
        : undefined;
    }
    if ('node' in a || 'node' in b || a.segmentId !== b.segmentId) return undefined;
    const segment = this.byId.get(a.segmentId);
    if (!segment) return undefined;
    const parts =
      a.share === b.share ? [] : [{ segmentId: a.segmentId, from: a.share, to: b.share }];
    return { parts, through: [], length: Math.abs(a.share - b.share) * segment.length };
  }

  /** Segments that close a loop with those before them. */
  loops(): readonly TreeSegment[] {
    const root = new Map<NodeKey, NodeKey>();
    const rootOf = (node: NodeKey): NodeKey => {
      let at = node;
      for (let up = root.get(at); up !== undefined && up !== at; up = root.get(at)) at = up;
      return at;
    };
    return this.segments.filter(({ from, to }) => {
      const [a, b] = [rootOf(from), rootOf(to)];
      if (a === b) return true;
      root.set(a, b);
      return false;
    });
  }
}

/** The passage between two nodes of a harness without loops: up from both until they meet. */
function between(a: NodeKey, b: NodeKey, hung: ReadonlyMap<NodeKey, Hung>): Passage | undefined {
  const [there, back]: [WayPart[], WayPart[]] = [[], []];
  const [begun, ended]: [NodeKey[], NodeKey[]] = [[a], [b]];
  let [left, right] = [a, b];
  let length = 0;
  while (left !== right) {
    const [one, other] = [hung.get(left), hung.get(right)];
    if (!one || !other) return undefined;
    const fromLeft = one.depth >= other.depth;
    const up = fromLeft ? one.up : other.up;
    if (!up) return undefined;
    length += up.segment.length;
    if (fromLeft) {
      there.push(along(up.segment, left));
      left = up.to;
      begun.push(left);
    } else {
      back.push(along(up.segment, up.to));
      right = up.to;
      ended.push(right);
    }
  }
  ended.pop();
  return {
    parts: [...there, ...back.reverse()],
    nodes: [...begun, ...ended.reverse()],
    length,
  };
}
