import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { lengthInside } from './inside.ts';
import { type RoutePath, pointAt, shapeOf } from './path.ts';
import { areaOf, crossingsOf } from './sheet.ts';
import { stretchOf, wayOutOf } from './stretch.ts';
import type { Vector } from './vector.ts';

const pathOf = (radius: number, ...places: readonly Vector[]): RoutePath => {
  const shape = shapeOf(places.map((at) => ({ at, radius })));
  if (!shape.ok) throw new Error('no path');
  return shape.path;
};

describe('a sheet', () => {
  const wall = { corner: [1, -1, 0], next: [1, 1, 0], other: [1, -1, 2] } as const;

  test('has the area of its sides', () => {
    expect(areaOf(wall)).toBeCloseTo(4, 12);
    expect(areaOf({ ...wall, other: [1, 0, 2] })).toBeCloseTo(4, 12);
  });

  test('is crossed where a line goes through it, and not beside it', () => {
    const through = pathOf(0, [0, 0.2, 1], [2, 0.2, 1]);
    expect(crossingsOf(through, wall)).toHaveLength(1);
    expect(crossingsOf(through, wall)[0]).toMatchObject({ at: [1, 0.2, 1], s: 1 });
    expect(crossingsOf(pathOf(0, [0, 1.2, 1], [2, 1.2, 1]), wall)).toEqual([]);
    expect(crossingsOf(pathOf(0, [0, 0, 2.1], [2, 0, 2.1]), wall)).toEqual([]);
  });

  test('that a line only ends on is not crossed', () => {
    expect(crossingsOf(pathOf(0, [0, 0, 1], [1, 0, 1]), wall)).toEqual([]);
    expect(crossingsOf(pathOf(0, [1, 0, 1], [0, 0, 1]), wall)).toEqual([]);
  });

  test('is crossed by an arc where the circle meets its plane', () => {
    // A quarter turn around (0.5, 0.5): it reaches x = 0.9 at 53.13° of its turn.
    const path = pathOf(0.5, [0, 0, 1], [1, 0, 1], [1, 1, 1]);
    const plane = { corner: [0.9, -1, 0], next: [0.9, 1, 0], other: [0.9, -1, 2] } as const;
    const [crossing, ...more] = crossingsOf(path, plane);
    expect(more).toEqual([]);
    expect(crossing!.at[1]).toBeCloseTo(0.5 - Math.sqrt(0.25 - 0.16), 9);
    expect(crossing!.s).toBeCloseTo(0.5 + 0.5 * Math.asin(0.8), 9);
    expect(crossing!.direction[0]).toBeCloseTo(0.6, 9);
  });

  test('crossed in and out again counts twice', () => {
    const path = pathOf(0.1, [0, 0, 1], [2, 0, 1], [2, 0.5, 1], [0, 0.5, 1]);
    expect(crossingsOf(path, wall).map((c) => c.at[1])).toEqual([0, 0.5]);
  });
});

describe('a stretch of a path', () => {
  const path = pathOf(0.3, [0, 0, 0], [1, 0, 0], [1, 1, 0.5], [2, 1, 0.5]);

  test('has the places of the path between its ends', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (a, b, t) => {
          const [from, to] = [Math.min(a, b) * path.length, Math.max(a, b) * path.length];
          if (to - from < 1e-6) return;
          const part = stretchOf(path, from, to);
          expect(part.length).toBeCloseTo(to - from, 9);
          const on = pointAt(part, t * part.length)!;
          const expected = pointAt(path, from + t * part.length)!;
          on.forEach((value, axis) => expect(value).toBeCloseTo(expected[axis]!, 9));
        },
      ),
    );
  });

  test('leaves the box it begins in where it meets its face', () => {
    const box = { low: [-0.1, -0.1, -0.1], high: [0.4, 0.1, 0.1] } as const;
    expect(wayOutOf(path, box, 'start')).toBeCloseTo(0.4, 6);
    expect(wayOutOf(path, box, 'end')).toBe(0);
    const all = { low: [-9, -9, -9], high: [9, 9, 9] } as const;
    expect(wayOutOf(path, all, 'start')).toBe(path.length);
  });
});

describe('length inside a box', () => {
  const box = { low: [0.2, -1, -1], high: [0.7, 1, 1] } as const;

  test('of a straight is exact', () => {
    expect(lengthInside(pathOf(0, [0, 0, 0], [1, 0, 0]), box)).toBeCloseTo(0.5, 12);
    expect(lengthInside(pathOf(0, [0, 2, 0], [1, 2, 0]), box)).toBe(0);
    const slant = pathOf(0, [0, 0, 0], [1, 0.75, 0]);
    expect(lengthInside(slant, box)).toBeCloseTo(0.5 * 1.25, 12);
  });

  test('of an arc comes within a millimetre', () => {
    // A quarter circle of 1 m around (0, 1): x runs from 0 to 1.
    const arc = pathOf(1, [-1, 0, 0], [1, 0, 0], [1, 2, 0]);
    const exact = Math.asin(0.7) - Math.asin(0.2);
    expect(Math.abs(lengthInside(arc, box) - exact)).toBeLessThan(1e-3);
  });

  test('is all of a path that stays in, and never more', () => {
    const all = { low: [-9, -9, -9], high: [9, 9, 9] } as const;
    const path = pathOf(0.2, [0, 0, 0], [1, 0, 0], [1, 1, 1]);
    expect(lengthInside(path, all)).toBeCloseTo(path.length, 9);
  });
});
