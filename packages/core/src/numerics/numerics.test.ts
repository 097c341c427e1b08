import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { BadInput } from '../quantities/index.ts';
import { bilinear, interpolateClamped } from './interpolate.ts';
import { bisect, findRoot } from './bisect.ts';
import { pchip } from './pchip.ts';
import { solveDense } from './solveDense.ts';

const rising = fc
  .array(
    fc.tuple(
      fc.double({ min: 0.01, max: 5, noNaN: true }),
      fc.double({ min: -9, max: 9, noNaN: true }),
    ),
    {
      minLength: 2,
      maxLength: 12,
    },
  )
  .map((steps) => {
    let x = 0;
    return { x: steps.map(([dx]) => (x += dx)), y: steps.map(([, y]) => y) };
  });

describe('monotone cubic', () => {
  test('goes through its points and gives a straight line back exactly', () => {
    const curve = pchip([0, 1, 3, 4], [1, 3, 7, 9]);
    for (const at of [0, 0.3, 1, 2.2, 3.9, 4]) {
      expect(curve.sample(at).value).toBeCloseTo(1 + 2 * at, 12);
      expect(curve.sample(at).slope).toBeCloseTo(2, 12);
    }
  });

  test('agrees with the published weighted harmonic mean at an inner point', () => {
    // Fritsch-Butland slope at x = 1 with h = 1, 2 and δ = 2, 1: (w1 + w2) / (w1/δ1 + w2/δ2).
    const curve = pchip([0, 1, 3], [0, 2, 4]);
    const w1 = 2 * 2 + 1;
    const w2 = 2 + 2 * 1;
    expect(curve.sample(1).slope).toBeCloseTo((w1 + w2) / (w1 / 2 + w2 / 1), 12);
  });

  test('never leaves the range of neighbouring points, and slope fits a difference quotient', () => {
    fc.assert(
      fc.property(rising, fc.double({ min: 0, max: 1, noNaN: true }), ({ x, y }, t) => {
        const curve = pchip(x, y);
        for (let i = 0; i + 1 < x.length; i++) {
          const at = x[i]! + t * (x[i + 1]! - x[i]!);
          const { value, slope, outside } = curve.sample(at);
          expect(value).toBeGreaterThanOrEqual(Math.min(y[i]!, y[i + 1]!) - 1e-9);
          expect(value).toBeLessThanOrEqual(Math.max(y[i]!, y[i + 1]!) + 1e-9);
          expect(outside).toBe(false);
          const h = 1e-6 * (x[i + 1]! - x[i]!);
          if (t > 0.01 && t < 0.99) {
            const quotient = (curve.sample(at + h).value - curve.sample(at - h).value) / (2 * h);
            expect(Math.abs(quotient - slope)).toBeLessThan(1e-4 * (1 + Math.abs(slope)));
          }
        }
      }),
    );
  });

  test('beyond the data goes on straight and says so', () => {
    const curve = pchip([0, 1, 2], [4, 2, 1]);
    const end = curve.sample(2);
    const beyond = curve.sample(3);
    expect(beyond.outside).toBe(true);
    expect(beyond.value).toBeCloseTo(end.value + end.slope, 12);
    expect(curve.sample(-1).outside).toBe(true);
  });

  test.each([
    [[1], [1]],
    [
      [0, 0],
      [1, 2],
    ],
    [
      [1, 0],
      [1, 2],
    ],
    [[0, 1], [1]],
  ])('refuses %j, %j', (x, y) => {
    expect(() => pchip(x, y)).toThrow(BadInput);
  });
});

describe('dense solver', () => {
  test('solves random systems to rounding', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 14 }), fc.integer(), (n, seed) => {
        let state = seed >>> 0;
        const random = (): number => {
          state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
          return state / 2 ** 31 - 1;
        };
        const a = Float64Array.from({ length: n * n }, random);
        for (let i = 0; i < n; i++) a[i * n + i]! += n;
        const x = Array.from({ length: n }, random);
        const b = Float64Array.from({ length: n }, (_, i) =>
          x.reduce((sum, value, j) => sum + a[i * n + j]! * value, 0),
        );
        expect(solveDense(a.slice(), b, n)).toBe(true);
        x.forEach((value, i) => expect(b[i]).toBeCloseTo(value, 9));
      }),
    );
  });

  test('solves thin systems with rows in any order as a full elimination does', () => {
    const entry = fc.oneof(
      { weight: 3, arbitrary: fc.constant(0) },
      { weight: 2, arbitrary: fc.double({ min: -2, max: 2, noNaN: true }) },
    );
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 9 }).chain((n) =>
          fc.tuple(
            fc.constant(n),
            fc.array(entry, { minLength: n * n, maxLength: n * n }),
            fc.shuffledSubarray(
              Array.from({ length: n }, (_, i) => i),
              { minLength: n, maxLength: n },
            ),
          ),
        ),
        ([n, entries, order]) => {
          // A strong entry in each row and column, wherever the rows stand.
          const a = Float64Array.from(entries);
          order.forEach((column, row) => (a[row * n + column] = 20 + row));
          const x = order.map((k) => 1 + k / 3);
          const b = Float64Array.from({ length: n }, (_, i) =>
            x.reduce((sum, value, j) => sum + a[i * n + j]! * value, 0),
          );
          expect(solveDense(a.slice(), b, n)).toBe(true);
          x.forEach((value, i) => expect(b[i]).toBeCloseTo(value, 9));
        },
      ),
      { numRuns: 500 },
    );
  });

  test('pivots where the diagonal is zero, and tells a singular matrix', () => {
    const b = Float64Array.from([2, 3]);
    expect(solveDense(Float64Array.from([0, 1, 1, 0]), b, 2)).toBe(true);
    expect([...b]).toEqual([3, 2]);
    expect(solveDense(Float64Array.from([1, 2, 2, 4]), Float64Array.from([1, 2]), 2)).toBe(false);
  });
});

describe('root finding', () => {
  test('bisection closes in on where a test turns', () => {
    const at = bisect({ low: 0, high: 10, tolerance: 1e-12, test: (x) => x > Math.PI });
    expect(at).toBeCloseTo(Math.PI, 9);
  });
  test('a root is found whichever way the function runs', () => {
    expect(findRoot({ low: 0, high: 3, of: (x) => x * x - 2 })).toBeCloseTo(Math.SQRT2, 12);
    expect(findRoot({ low: 0, high: 3, of: (x) => 2 - x * x })).toBeCloseTo(Math.SQRT2, 12);
  });
});

describe('tables', () => {
  test('clamped interpolation holds its ends', () => {
    const at = (x: number) => interpolateClamped([0, 2, 4], [1, 3, 0], x);
    expect([at(-1), at(0), at(1), at(3), at(4), at(9)]).toEqual([1, 1, 2, 1.5, 0, 0]);
  });

  test('bilinear gives a plane back exactly and flags what lies outside', () => {
    const rows = [8, 10, 14];
    const columns = [2, 3, 6];
    const plane = (r: number, c: number) => 3 + 2 * r - 0.5 * c;
    const table = rows.map((r) => columns.map((c) => plane(r, c)));
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 16, noNaN: true }),
        fc.double({ min: 1, max: 8, noNaN: true }),
        (row, column) => {
          const { value, outside } = bilinear({ rows, columns, table, row, column });
          expect(value).toBeCloseTo(plane(row, column), 9);
          expect(outside).toBe(row < 8 || row > 14 || column < 2 || column > 6);
        },
      ),
    );
  });

  test('one row or one column is constant that way', () => {
    const one = bilinear({ rows: [12], columns: [1, 3], table: [[2, 4]], row: 99, column: 2 });
    expect(one).toEqual({ value: 3, outside: false });
    const column = bilinear({ rows: [1, 3], columns: [9], table: [[2], [4]], row: 2, column: 0 });
    expect(column).toEqual({ value: 3, outside: false });
  });
});
