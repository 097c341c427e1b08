import type { NodeKey } from './harnessNode.ts';

/** What joins two nodes of a harness. */
interface Joint {
  readonly id: string;
  readonly from: NodeKey;
  readonly to: NodeKey;
}

/** Nodes that hang on the beginning of a segment, and on its end. */
export type Sides = readonly [ReadonlySet<NodeKey>, ReadonlySet<NodeKey>];

/** The nodes on both sides of each segment. */
export function sidesIn(segments: readonly Joint[]): (segmentId: string) => Sides {
  const byId = new Map(segments.map((segment) => [segment.id, segment]));
  const nextTo = new Map<NodeKey, { readonly node: NodeKey; readonly by: string }[]>();
  const join = (from: NodeKey, node: NodeKey, by: string): void => {
    const there = nextTo.get(from);
    if (there) there.push({ node, by });
    else nextTo.set(from, [{ node, by }]);
  };
  for (const { id, from, to } of segments) {
    join(from, to, id);
    join(to, from, id);
  }
  const reach = (start: NodeKey | undefined, cut: string): ReadonlySet<NodeKey> => {
    if (start === undefined) return new Set();
    const found = new Set([start]);
    const open = [start];
    for (let node = open.pop(); node !== undefined; node = open.pop()) {
      for (const next of nextTo.get(node) ?? []) {
        if (next.by === cut || found.has(next.node)) continue;
        found.add(next.node);
        open.push(next.node);
      }
    }
    return found;
  };
  return (segmentId) => {
    const cut = byId.get(segmentId);
    return [reach(cut?.from, segmentId), reach(cut?.to, segmentId)];
  };
}

/** The nodes on both sides of one segment. */
export const sidesOf = (segmentId: string, segments: readonly Joint[]): Sides =>
  sidesIn(segments)(segmentId);
