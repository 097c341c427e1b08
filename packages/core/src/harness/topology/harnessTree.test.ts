import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { HarnessTree, type TreePoint, type TreeSegment, type WayPart } from './harnessTree.ts';

/** A tree in which each node hangs on one before it. */
const trees = fc
  .array(fc.record({ on: fc.nat(), length: fc.double({ min: 0.05, max: 3, noNaN: true }) }), {
    minLength: 1,
    maxLength: 24,
  })
  .map((branches) =>
    branches.map(({ on, length }, i): TreeSegment => ({
      id: `s${i}`,
      from: `n${on % (i + 1)}`,
      to: `n${i + 1}`,
      length,
    })),
  );

/** Every way without going back, walked out: in a tree there is one. */
function walked(
  segments: readonly TreeSegment[],
  from: string,
  to: string,
  used: ReadonlySet<string> = new Set(),
): readonly string[] | undefined {
  if (from === to) return [];
  for (const { id, from: a, to: b } of segments) {
    if (used.has(id)) continue;
    const next = a === from ? b : b === from ? a : undefined;
    if (next === undefined) continue;
    const rest = walked(segments, next, to, new Set([...used, id]));
    if (rest) return [id, ...rest];
  }
  return undefined;
}

const partLength = (segments: readonly TreeSegment[], { segmentId, from, to }: WayPart): number =>
  Math.abs(to - from) * segments.find(({ id }) => id === segmentId)!.length;
const sum = (values: readonly number[]): number => values.reduce((all, each) => all + each, 0);

describe('ways through a tree', () => {
  test('are those that walking finds, with their length, for every two nodes', () => {
    fc.assert(
      fc.property(trees, fc.nat(), fc.nat(), (segments, a, b) => {
        const count = segments.length + 1;
        const [from, to] = [`n${a % count}`, `n${b % count}`];
        const way = new HarnessTree(segments).way({ node: from }, { node: to })!;
        const known = walked(segments, from, to)!;
        expect(way.parts.map(({ segmentId }) => segmentId)).toEqual(known);
        expect(way.length).toBeCloseTo(
          sum(known.map((id) => segments.find((s) => s.id === id)!.length)),
          9,
        );
        expect(way.through).toHaveLength(Math.max(0, known.length - 1));
      }),
    );
  });

  test('between places within segments are as long as their parts, the same there and back', () => {
    const share = fc.double({ min: 0, max: 1, noNaN: true });
    fc.assert(
      fc.property(trees, fc.nat(), share, fc.nat(), share, (segments, a, s, b, t) => {
        const tree = new HarnessTree(segments);
        const at = (n: number, share: number): TreePoint => ({
          segmentId: segments[n % segments.length]!.id,
          share,
        });
        const [from, to] = [at(a, s), at(b, t)];
        const there = tree.way(from, to)!;
        expect(sum(there.parts.map((part) => partLength(segments, part)))).toBeCloseTo(
          there.length,
          9,
        );
        expect(tree.way(to, from)!.length).toBeCloseTo(there.length, 9);
        const ids = there.parts.map(({ segmentId }) => segmentId);
        expect(new Set(ids).size).toBe(ids.length);
      }),
    );
  });

  test('are the same where a detour closes a loop that is longer than every way', () => {
    const share = fc.double({ min: 0.01, max: 0.99, noNaN: true });
    fc.assert(
      fc.property(trees, fc.nat(), share, fc.nat(), (segments, a, s, b) => {
        const detour = { id: 'detour', from: 'n0', to: 'n1', length: 1e6 };
        const from = { segmentId: segments[a % segments.length]!.id, share: s };
        const to = { node: `n${b % (segments.length + 1)}` };
        const way = new HarnessTree(segments).way(from, to)!;
        const round = new HarnessTree([...segments, detour]).way(from, to)!;
        expect(round.parts).toEqual(way.parts);
        expect(round.through).toEqual(way.through);
        expect(round.length).toBeCloseTo(way.length, 9);
      }),
    );
  });

  test('a segment more closes a loop, and only that one does', () => {
    fc.assert(
      fc.property(trees, fc.nat(), fc.nat(), (segments, a, b) => {
        const count = segments.length + 1;
        const extra = { id: 'extra', from: `n${a % count}`, to: `n${b % count}`, length: 1 };
        expect(new HarnessTree(segments).loops()).toEqual([]);
        expect(new HarnessTree([...segments, extra]).loops()).toEqual([extra]);
      }),
    );
  });

  test('there is none between what nothing joins', () => {
    const tree = new HarnessTree([
      { id: 'a', from: 'one', to: 'two', length: 1 },
      { id: 'b', from: 'three', to: 'four', length: 1 },
    ]);
    expect(tree.way({ node: 'one' }, { node: 'four' })).toBeUndefined();
    expect(tree.way({ node: 'one' }, { node: 'elsewhere' })).toBeUndefined();
    expect(
      tree.way({ segmentId: 'a', share: 0.5 }, { segmentId: 'b', share: 0.5 }),
    ).toBeUndefined();
  });
});
