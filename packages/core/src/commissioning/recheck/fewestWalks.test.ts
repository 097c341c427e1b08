import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { type PlacePair, fewestWalks, leastWalks, walksOf } from './fewestWalks.ts';

const nowhereFar = (): number => 0;
const pair = (a: string, b: string): PlacePair => ({ places: a < b ? [a, b] : [b, a] });

/** Pairs of a few places, each once; both probes may be at one place. */
const pairsOf = (most: number): fc.Arbitrary<PlacePair[]> =>
  fc.uniqueArray(
    fc
      .tuple(fc.constantFrom(...'abcdef'), fc.constantFrom(...'abcdef'))
      .map(([a, b]) => pair(a, b)),
    { minLength: 1, maxLength: most, selector: ({ places }) => places.join() },
  );

/** The fewest walks of all orders there are. */
function ofAllOrders(pairs: readonly PlacePair[], done: readonly PlacePair[] = []): number {
  if (pairs.length === 0) return walksOf(done);
  return Math.min(
    ...pairs.map((next) =>
      ofAllOrders(
        pairs.filter((other) => other !== next),
        [...done, next],
      ),
    ),
  );
}

describe('an order with few walks', () => {
  test('is the best of all orders where those can be gone through', () => {
    fc.assert(
      fc.property(pairsOf(7), (all) => {
        const pairs = all.filter(({ places: [a, b] }) => a !== b).slice(0, 6);
        const order = fewestWalks(pairs, nowhereFar);
        expect(walksOf(order)).toBe(ofAllOrders(pairs));
      }),
      { numRuns: 60, seed: 3 },
    );
  });

  test('never takes fewer than the bound, which is met where every stop hangs on the last', () => {
    fc.assert(
      fc.property(pairsOf(20), (pairs) => {
        const order = fewestWalks(pairs, nowhereFar);
        expect(order).toHaveLength(pairs.length);
        expect(new Set(order)).toEqual(new Set(pairs));
        expect(walksOf(order)).toBeGreaterThanOrEqual(leastWalks(pairs));
      }),
      { numRuns: 40, seed: 5 },
    );
    const ring = [...'abcdefgh'].map((a, i, all) => pair(a, all[(i + 1) % all.length]!));
    const mixed = [0, 3, 6, 1, 4, 7, 2, 5].map((i) => ring[i]!);
    expect(walksOf(mixed)).toBeGreaterThan(9);
    expect(walksOf(fewestWalks(mixed, nowhereFar))).toBe(9);
    expect(leastWalks(mixed)).toBe(9);
    // Two rings of which none reaches the other: both probes go once more.
    const apart = [...ring, ...ring.map(({ places: [a, b] }) => pair(`${a}2`, `${b}2`))];
    expect(leastWalks(apart)).toBe(18);
    expect(walksOf(fewestWalks(apart, nowhereFar))).toBe(18);
  });

  test('of orders with as few walks the one in which probes are not carried far', () => {
    // A hub, and places along a line that are given out of order.
    const along = [3, 1, 4, 2, 5].map((x) => pair('0', String(x)));
    const away = (a: string, b: string): number => Math.abs(Number(a) - Number(b));
    const order = fewestWalks(along, away).map(({ places }) => Number(places[1]));
    expect([order, order.toReversed()]).toContainEqual([1, 2, 3, 4, 5]);
  });
});
