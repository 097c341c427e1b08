import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { narrowBand } from './narrowBand.ts';

/** How far apart the two of a pair stand at most. */
function width(order: Int32Array, pairs: readonly (readonly [number, number])[]): number {
  const place = new Map([...order].map((index, at) => [index, at]));
  return Math.max(0, ...pairs.map(([a, b]) => Math.abs(place.get(a)! - place.get(b)!)));
}

describe('an order with a narrow band', () => {
  test('holds everything once, whatever is joined', () => {
    const anyPairs = fc.integer({ min: 1, max: 30 }).chain((size) => {
      const index = fc.nat(size - 1);
      return fc.tuple(fc.constant(size), fc.array(fc.tuple(index, index), { maxLength: 60 }));
    });
    fc.assert(
      fc.property(anyPairs, ([size, pairs]) => {
        expect([...narrowBand(size, pairs)].sort((a, b) => a - b)).toEqual([...Array(size).keys()]);
      }),
    );
  });

  test('of a chain whose links were named in any order has each beside the next', () => {
    const named = fc.shuffledSubarray([...Array(20).keys()], { minLength: 20 });
    fc.assert(
      fc.property(named, (names) => {
        const pairs = names.slice(1).map((name, i) => [names[i]!, name] as const);
        expect(width(narrowBand(20, pairs), pairs)).toBe(1);
      }),
    );
  });

  test('of a ring has none further than two, of a ladder none further than three', () => {
    const ring = [...Array(17).keys()].map((i) => [i, (i + 1) % 17] as const);
    expect(width(narrowBand(17, ring), ring)).toBe(2);
    const rungs = [...Array(12).keys()].map((i) => [i, i + 12] as const);
    const rails = [...Array(11).keys()].flatMap(
      (i) =>
        [
          [i, i + 1],
          [i + 12, i + 13],
        ] as const,
    );
    const ladder = [...rungs, ...rails];
    expect(width(narrowBand(24, ladder), ladder)).toBeLessThanOrEqual(3);
  });

  test('leaves what is joined to nothing where it was', () => {
    expect([...narrowBand(4, [])]).toEqual([0, 1, 2, 3]);
  });
});
