import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import type { Box } from './distances.ts';
import { lengthInside } from './inside.ts';
import { type RoutePath, pointAt, shapeOf } from './path.ts';
import type { Vector } from './vector.ts';

const pathOf = (radius: number, ...corners: readonly Vector[]): RoutePath => {
  const shape = shapeOf(corners.map((at) => ({ at, radius })));
  if (!shape.ok) throw new Error('no path');
  return shape.path;
};
const unit: Box = { low: [0, 0, 0], high: [1, 1, 1] };
const contains = ({ low, high }: Box, at: Vector): boolean =>
  at.every((value, axis) => value > low[axis]! && value < high[axis]!);

describe('how much of a way lies in a box', () => {
  test.each<[string, readonly Vector[], number]>([
    [
      'straight through',
      [
        [-1, 0.5, 0.5],
        [2, 0.5, 0.5],
      ],
      1,
    ],
    [
      'from the middle of it',
      [
        [0.5, 0.5, 0.5],
        [2, 0.5, 0.5],
      ],
      0.5,
    ],
    [
      'all within',
      [
        [0.2, 0.2, 0.2],
        [0.2, 0.2, 0.7],
      ],
      0.5,
    ],
    [
      'through two corners',
      [
        [-1, -1, -1],
        [2, 2, 2],
      ],
      Math.sqrt(3),
    ],
    [
      'past it',
      [
        [-1, 1.5, 0.5],
        [2, 1.5, 0.5],
      ],
      0,
    ],
    [
      'along a face',
      [
        [-1, 1, 0.5],
        [2, 1, 0.5],
      ],
      0,
    ],
    [
      'up to it',
      [
        [-1, 0.5, 0.5],
        [0, 0.5, 0.5],
      ],
      0,
    ],
  ])('%s', (_words, corners, length) => {
    expect(lengthInside(pathOf(0, ...corners), unit)).toBeCloseTo(length, 12);
  });

  test('a quarter turn inside of it is as long as its arc', () => {
    const turn = pathOf(0.3, [0.2, 0.2, 0.5], [0.8, 0.2, 0.5], [0.8, 0.8, 0.5]);
    expect(lengthInside(turn, unit)).toBeCloseTo(turn.length, 6);
    const half = { low: [0, 0, 0], high: [0.5, 1, 1] } as const;
    expect(lengthInside(turn, half)).toBeCloseTo(0.3, 9);
  });

  test('is what is met on many steps along it, and adds up over boxes side by side', () => {
    const mm = fc.integer({ min: -1500, max: 1500 }).map((value) => value / 1000);
    const at = fc.tuple(mm, mm, mm) as fc.Arbitrary<Vector>;
    const way = fc
      .array(at, { minLength: 3, maxLength: 6 })
      .filter((corners) => shapeOf(corners.map((each) => ({ at: each, radius: 0.05 }))).ok);
    fc.assert(
      fc.property(way, (corners) => {
        const path = pathOf(0.05, ...corners);
        const inside = lengthInside(path, unit);
        const steps = 4000;
        let met = 0;
        for (let k = 0; k < steps; k++) {
          const place = pointAt(path, ((k + 0.5) / steps) * path.length)!;
          if (contains(unit, place)) met += path.length / steps;
        }
        // Each way in or out is met to half of a step.
        expect(Math.abs(inside - met)).toBeLessThan((4 * corners.length * path.length) / steps);
        const left = lengthInside(path, { low: [0, 0, 0], high: [0.4, 1, 1] });
        const right = lengthInside(path, { low: [0.4, 0, 0], high: [1, 1, 1] });
        expect(left + right).toBeCloseTo(inside, 6);
        expect(inside).toBeLessThan(path.length + 1e-9);
      }),
      { numRuns: 60 },
    );
  });
});
