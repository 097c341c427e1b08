import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { matchedSet } from './matchedSet.ts';

describe('a measured set', () => {
  test('by hand', () => {
    const set = matchedSet([100, 104, 98, 102]);
    expect(set.mean).toBe(101);
    expect(set.spread).toBeCloseTo(6 / 101, 12);
    expect(set.pairs).toEqual([
      [1, 3],
      [0, 2],
    ]);
    const sum = (bank: readonly number[]): number =>
      bank.reduce((total, i) => total + [100, 104, 98, 102][i]!, 0);
    expect(sum(set.banks[0])).toBe(sum(set.banks[1]));
  });

  test('has every injector once in a bank and once in a pair, banks of like size', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 1, max: 2, noNaN: true }), { minLength: 1, maxLength: 16 }),
        (flows) => {
          const { banks, pairs, spread } = matchedSet(flows);
          const all = flows.map((_, i) => i);
          expect([...banks[0], ...banks[1]].sort((a, b) => a - b)).toEqual(all);
          expect(pairs.flat().sort((a, b) => a - b)).toEqual(all);
          expect(Math.abs(banks[0].length - banks[1].length)).toBeLessThanOrEqual(1);
          expect(spread).toBeGreaterThanOrEqual(0);
        },
      ),
    );
  });

  test('of nothing is refused', () => {
    expect(() => matchedSet([])).toThrow(RangeError);
  });
});
