import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { flatTree } from './flatTree.ts';
import { apart, doCross } from './planeSegments.ts';
import type { TreeEdge } from './rootedTree.ts';

/** Trees of up to 25 edges, each hung on any node before it, from 20 mm to 2.5 m long. */
const trees = fc
  .array(fc.tuple(fc.nat(), fc.integer({ min: 20, max: 2500 })), { minLength: 1, maxLength: 25 })
  .map((hung) =>
    hung.map(([on, length], i): TreeEdge => ({
      id: `e${i}`,
      from: `n${on % (i + 1)}`,
      to: `n${i + 1}`,
      length: length / 1e3,
    })),
  );

const segmentsOf = (edges: readonly TreeEdge[]) => {
  const { places } = flatTree(edges);
  return edges.map(({ from, to }) => [places.get(from)!, places.get(to)!] as const);
};

describe('a tree laid flat', () => {
  test('has its true lengths, and no edge crosses or touches another that it does not meet', () => {
    fc.assert(
      fc.property(trees, (edges) => {
        const segments = segmentsOf(edges);
        edges.forEach(({ from, to, length }, i) => {
          const [a, b] = segments[i]!;
          expect(Math.abs(Math.hypot(b[0] - a[0], b[1] - a[1]) - length)).toBeLessThan(1e-4);
          edges.slice(0, i).forEach((other, k) => {
            expect(doCross(segments[i]!, segments[k]!)).toBe(false);
            const meets = [other.from, other.to].some((node) => node === from || node === to);
            if (!meets) expect(apart(segments[i]!, segments[k]!)).toBeGreaterThan(1e-9);
          });
        });
      }),
      { numRuns: 200, seed: 17 },
    );
  }, 60_000);

  test.each([
    ['one way with a branch at every breakout', (i: number) => (i % 2 === 0 ? i : i - 1)],
    ['branches of branches', (i: number) => Math.floor(i / 2)],
  ])('of three hundred edges, %s, is laid in bounded work, and nothing crosses', (_what, onto) => {
    const edges = Array.from({ length: 300 }, (_, i): TreeEdge => ({
      id: `e${i}`,
      from: `n${onto(i)}`,
      to: `n${i + 1}`,
      length: 0.05 + (i % 7) * 0.03,
    }));
    const { places, crossings } = flatTree(edges);
    expect(crossings).toBe(0);
    expect(places.size).toBe(301);
    for (const { from, to, length } of edges) {
      const [a, b] = [places.get(from)!, places.get(to)!];
      expect(Math.hypot(b[0] - a[0], b[1] - a[1])).toBeCloseTo(length, 6);
    }
  });

  test('lies the same whatever is asked twice', () => {
    fc.assert(
      fc.property(trees, (edges) => {
        expect([...flatTree(edges).places]).toEqual([...flatTree(edges).places]);
      }),
      { numRuns: 10, seed: 3 },
    );
  });

  test('of one way without a branch is straight', () => {
    const chain = [0.3, 0.7, 0.15].map((length, i) => ({
      id: `${i}`,
      from: `n${i}`,
      to: `n${i + 1}`,
      length,
    }));
    const { places } = flatTree(chain);
    const [a, b] = [places.get('n0')!, places.get('n3')!];
    expect(Math.hypot(b[0] - a[0], b[1] - a[1])).toBeCloseTo(1.15, 9);
  });

  test('of many short branches close together still has no crossing', () => {
    const comb = Array.from({ length: 30 }, (_, i): TreeEdge[] => [
      { id: `t${i}`, from: `n${i}`, to: `n${i + 1}`, length: 0.02 },
      { id: `b${i}`, from: `n${i}`, to: `m${i}`, length: 1.5 },
    ]).flat();
    expect(flatTree(comb).crossings).toBe(0);
    const segments = segmentsOf(comb);
    segments.forEach((one, i) =>
      segments.slice(0, i).forEach((other) => expect(doCross(one, other)).toBe(false)),
    );
  });

  test('leaves out what closes a loop, and what hangs on nothing of it', () => {
    const edges = [
      { id: 'a', from: '1', to: '2', length: 1 },
      { id: 'b', from: '2', to: '3', length: 1 },
      { id: 'c', from: '3', to: '1', length: 1 },
      { id: 'd', from: '8', to: '9', length: 1 },
    ];
    const { places, crossings } = flatTree(edges);
    expect([...places.keys()].sort()).toEqual(['1', '2', '3']);
    expect(crossings).toBe(0);
    expect(flatTree([]).places.size).toBe(0);
  });
});
