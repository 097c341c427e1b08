import { entryAt } from '../../numerics/index.ts';

/** A stretch of a tree: its two nodes and its length, m. */
export interface TreeEdge {
  readonly id: string;
  readonly from: string;
  readonly to: string;
  readonly length: number;
}

/** A node that hangs on another one, nearer to the root, by an edge. */
export interface Hanging {
  readonly node: string;
  readonly edge: TreeEdge;
  /** its place in the list; -1: it hangs on the root */
  readonly on: number;
  /** what hangs on it, by their places in the list, the longest way first */
  readonly children: number[];
  /** the longest way out from it, m, and how many ends are there */
  reach: number;
  ends: number;
}

/** A tree from one end of its longest way, in an order in which nothing comes before what it hangs on. */
export interface RootedTree {
  readonly root: string;
  readonly hanging: readonly Hanging[];
  /** what hangs on the root */
  readonly first: readonly number[];
}

interface Step {
  readonly edge: TreeEdge;
  readonly to: string;
}

function stepsOf(edges: readonly TreeEdge[]): ReadonlyMap<string, readonly Step[]> {
  const steps = new Map<string, Step[]>();
  const at = (node: string): Step[] => {
    const known = steps.get(node) ?? [];
    steps.set(node, known);
    return known;
  };
  for (const edge of edges) {
    at(edge.from).push({ edge, to: edge.to });
    at(edge.to).push({ edge, to: edge.from });
  }
  return steps;
}

/** The node farthest from another one, along the edges. */
function farthest(start: string, steps: ReadonlyMap<string, readonly Step[]>): string {
  const far = new Map([[start, 0]]);
  const open = [start];
  let best = start;
  for (let node = open.pop(); node !== undefined; node = open.pop()) {
    const here = far.get(node) ?? 0;
    if (here > (far.get(best) ?? 0)) best = node;
    for (const { edge, to } of steps.get(node) ?? []) {
      if (far.has(to)) continue;
      far.set(to, here + edge.length);
      open.push(to);
    }
  }
  return best;
}

/** Roots what hangs together with the first edge; edges that close a loop are left out. */
export function rootedTree(edges: readonly TreeEdge[]): RootedTree {
  const steps = stepsOf(edges);
  const start = edges[0]?.from ?? '';
  const root = farthest(farthest(start, steps), steps);
  const hanging: Hanging[] = [];
  const seen = new Set([root]);
  const open: { readonly node: string; readonly at: number }[] = [{ node: root, at: -1 }];
  const first: number[] = [];
  for (let next = open.shift(); next !== undefined; next = open.shift()) {
    for (const { edge, to } of steps.get(next.node) ?? []) {
      if (seen.has(to)) continue;
      seen.add(to);
      const at = hanging.length;
      hanging.push({ node: to, edge, on: next.at, children: [], reach: 0, ends: 1 });
      (next.at < 0 ? first : entryAt(hanging, next.at).children).push(at);
      open.push({ node: to, at });
    }
  }
  for (let at = hanging.length - 1; at >= 0; at -= 1) {
    const one = entryAt(hanging, at);
    if (one.children.length > 0) {
      one.ends = one.children.reduce((all, child) => all + entryAt(hanging, child).ends, 0);
    }
    const out = (child: number): number =>
      entryAt(hanging, child).reach + entryAt(hanging, child).edge.length;
    one.reach = Math.max(0, ...one.children.map(out));
    one.children.sort((a, b) => out(b) - out(a));
  }
  return { root, hanging, first };
}
