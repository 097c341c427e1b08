import type { NodeKey } from './harnessNode.ts';

/** What joins two nodes of a harness. */
interface Joint {
  readonly id: string;
  readonly from: NodeKey;
  readonly to: NodeKey;
}

/** The nodes on both sides of a segment: those that hang on its beginning, and on its end. */
export function sidesOf(
  segmentId: string,
  segments: readonly Joint[],
): readonly [ReadonlySet<NodeKey>, ReadonlySet<NodeKey>] {
  const cut = segments.find(({ id }) => id === segmentId);
  const nextTo = new Map<NodeKey, NodeKey[]>();
  for (const { id, from, to } of segments) {
    if (id === segmentId) continue;
    nextTo.set(from, [...(nextTo.get(from) ?? []), to]);
    nextTo.set(to, [...(nextTo.get(to) ?? []), from]);
  }
  const reach = (start: NodeKey | undefined): ReadonlySet<NodeKey> => {
    if (start === undefined) return new Set();
    const found = new Set([start]);
    const open = [start];
    for (let node = open.pop(); node !== undefined; node = open.pop()) {
      for (const next of nextTo.get(node) ?? []) {
        if (found.has(next)) continue;
        found.add(next);
        open.push(next);
      }
    }
    return found;
  };
  return [reach(cut?.from), reach(cut?.to)];
}
