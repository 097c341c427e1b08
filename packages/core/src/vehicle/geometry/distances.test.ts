import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import {
  type Nearest,
  pathToBox,
  pieceToBox,
  pieceToSegment,
  pointToBox,
  pathToCapsule,
  pathToPath,
  pathToSegment,
  pointToArc,
  segmentToBox,
  segmentToSegment,
} from './distances.ts';
import { type ArcPiece, type RoutePath, type RoutePoint, pointAt, shapeOf } from './path.ts';
import { type Vector, distanceBetween } from './vector.ts';

const shaped = (points: readonly RoutePoint[]): RoutePath => {
  const shape = shapeOf(points);
  if (!shape.ok) throw new Error(JSON.stringify(shape.refusals));
  return shape.path;
};
const straight = (from: Vector, to: Vector): RoutePath =>
  shaped([
    { at: from, radius: 0 },
    { at: to, radius: 0 },
  ]);
/** A quarter turn of 1 m around the origin, from (1, 0, 0) to (0, 1, 0). */
const quarter = shaped([
  { at: [1, -0.5, 0], radius: 0 },
  { at: [1, 1, 0], radius: 1 },
  { at: [-0.5, 1, 0], radius: 0 },
]);
const arc = quarter.pieces.find((p): p is ArcPiece => p.kind === 'arc')!;

const near = fc.double({ min: -2, max: 2, noNaN: true });
const vector = fc.tuple(near, near, near) as fc.Arbitrary<Vector>;
/** Anywhere to the millimetre: as often far apart as near. */
const step = fc.integer({ min: -2000, max: 2000 }).map((mm) => mm / 1000);
const placed = fc.tuple(step, step, step) as fc.Arbitrary<Vector>;
const segment = fc
  .record({ from: vector, to: vector })
  .filter(({ from, to }) => distanceBetween(from, to) > 0.01);
const bent = fc
  .tuple(vector, vector, vector, fc.double({ min: 0.05, max: 0.5, noNaN: true }))
  .map(([a, b, c, radius]): RoutePoint[] => [
    { at: a, radius: 0 },
    { at: b, radius },
    { at: c, radius: 0 },
  ])
  .filter((points) => shapeOf(points).ok);
const box = fc.tuple(vector, vector).map(([a, b]) => ({
  low: [Math.min(a[0], b[0]), Math.min(a[1], b[1]), Math.min(a[2], b[2])] as Vector,
  high: [Math.max(a[0], b[0]), Math.max(a[1], b[1]), Math.max(a[2], b[2])] as Vector,
}));

/** Least distance from many places on a path, worked out without the functions under test. */
const walked = (path: RoutePath, distance: (point: Vector) => number): number =>
  Math.min(
    ...Array.from({ length: 1501 }, (_, i) => distance(pointAt(path, (i / 1500) * path.length)!)),
  );
const consistent = ({ distance, at, to }: Nearest): void => {
  expect(distanceBetween(at, to)).toBeCloseTo(distance, 9);
};

describe('straights', () => {
  test('that cross at a distance are as far apart as their common perpendicular', () => {
    const found = segmentToSegment(
      { from: [-1, 0, 0], to: [1, 0, 0] },
      { from: [0.3, -1, 0.7], to: [0.3, 1, 0.7] },
    );
    expect(found.distance).toBeCloseTo(0.7, 12);
    expect(distanceBetween(found.at, [0.3, 0, 0])).toBeLessThan(1e-12);
    expect(distanceBetween(found.to, [0.3, 0, 0.7])).toBeLessThan(1e-12);
  });

  test('that run alike, or of which one is past the other', () => {
    const base = { from: [0, 0, 0], to: [1, 0, 0] } as const;
    expect(segmentToSegment(base, { from: [0, 0.4, 0], to: [1, 0.4, 0] }).distance).toBe(0.4);
    expect(segmentToSegment(base, { from: [2, 0, 0], to: [3, 0, 0] }).distance).toBe(1);
    expect(segmentToSegment(base, { from: [4, 4, 0], to: [4, 9, 0] }).distance).toBe(5);
  });

  test('past a corner, an edge and a face of a box, and through it', () => {
    const cube = { low: [0, 0, 0], high: [1, 1, 1] } as const;
    const to = (from: Vector, end: Vector): number =>
      segmentToBox({ from, to: end }, cube).distance;
    expect(to([2, 2, 2], [3, 3, 3])).toBeCloseTo(Math.sqrt(3), 12);
    expect(to([2, 0, 0.5], [0, 2, 0.5])).toBeCloseTo(0, 12);
    expect(to([2.5, 0, 0.5], [0, 2.5, 0.5])).toBeCloseTo(Math.SQRT1_2 / 2, 12);
    expect(to([-1, 0.5, 1.3], [2, 0.5, 1.3])).toBeCloseTo(0.3, 12);
    expect(to([-1, 0.5, 0.5], [2, 0.5, 0.5])).toBe(0);
  });

  test('are as near to a box as any place on them', () => {
    fc.assert(
      fc.property(segment, box, ({ from, to }, b) => {
        const found = segmentToBox({ from, to }, b);
        consistent(found);
        const outside = (p: Vector): number =>
          Math.hypot(
            ...([0, 1, 2] as const).map((k) => Math.max(b.low[k] - p[k], 0, p[k] - b.high[k])),
          );
        expect(outside(found.at)).toBeCloseTo(found.distance, 9);
        const least = walked(straight(from, to), outside);
        expect(found.distance).toBeLessThanOrEqual(least + 1e-9);
        expect(least - found.distance).toBeLessThan(6e-3);
      }),
    );
  });
});

describe('arcs', () => {
  test('a point in the plane, above it, past an end, and on the axis', () => {
    expect(pointToArc([2, 2, 0], arc).distance).toBeCloseTo(2 * Math.SQRT2 - 1, 12);
    expect(pointToArc([0.5, 0.5, 0.4], arc).distance).toBeCloseTo(
      Math.hypot(1 - Math.SQRT1_2, 0.4),
      12,
    );
    expect(pointToArc([1, -3, 0], arc).distance).toBeCloseTo(3, 12);
    expect(pointToArc([0, 0, 0.75], arc).distance).toBeCloseTo(1.25, 12);
  });

  test('a hot pipe along the axis of a bend is everywhere as near', () => {
    const pipe = { from: [0, 0, -1] as Vector, to: [0, 0, 1] as Vector, radius: 0.03 };
    expect(pathToCapsule(quarter, pipe)!.distance).toBeCloseTo(1 - 0.03, 4);
  });

  test('two bends in one plane', () => {
    const moved = shaped([
      { at: [3, -0.5, 0], radius: 0 },
      { at: [3, 3, 0], radius: 3 },
      { at: [-0.5, 3, 0], radius: 0 },
    ]);
    // Concentric quarter turns of 1 and 3 m.
    expect(pathToPath(quarter, moved)!.distance).toBeCloseTo(2, 3);
  });

  test('inside a capsule the distance is how deep, below nothing', () => {
    const line = straight([0, 0.01, 0], [1, 0.01, 0]);
    const found = pathToCapsule(line, { from: [-1, 0, 0], to: [2, 0, 0], radius: 0.05 })!;
    expect(found.distance).toBeCloseTo(-0.04, 12);
  });
});

describe('a bent path', () => {
  test('is as near to a segment as any place on it, to 0.1 mm', () => {
    fc.assert(
      fc.property(bent, segment, (points, other) => {
        const path = shaped(points);
        const found = pathToSegment(path, other)!;
        consistent(found);
        const least = walked(path, (p) => segmentToSegment({ from: p, to: p }, other).distance);
        expect(found.distance).toBeLessThan(least + 1e-4);
        expect(least - found.distance).toBeLessThan(6e-3);
      }),
      { numRuns: 80 },
    );
  });

  test('is as near to a box as any place on it, to 0.1 mm', () => {
    fc.assert(
      fc.property(bent, box, (points, b) => {
        const path = shaped(points);
        const found = pathToBox(path, b)!;
        consistent(found);
        const least = walked(path, (p) => pointToBox(p, b).distance);
        expect(found.distance).toBeLessThan(least + 1e-4);
        expect(least - found.distance).toBeLessThan(6e-3);
      }),
      { numRuns: 80 },
    );
  });

  test('of many bends is as near as the nearest of its parts', () => {
    fc.assert(
      fc.property(
        fc
          .array(placed, { minLength: 4, maxLength: 9 })
          .filter((corners) => shapeOf(corners.map((at) => ({ at, radius: 0.02 }))).ok),
        segment,
        box,
        (corners, other, b) => {
          const path = shaped(corners.map((at) => ({ at, radius: 0.02 })));
          const parts = path.pieces;
          const least = (distance: (piece: (typeof parts)[number]) => number) =>
            Math.min(...parts.map(distance));
          expect(pathToSegment(path, other)!.distance).toBeCloseTo(
            least((piece) => pieceToSegment(piece, other).distance),
            4,
          );
          expect(pathToBox(path, b)!.distance).toBeCloseTo(
            least((piece) => pieceToBox(piece, b).distance),
            4,
          );
        },
      ),
      { numRuns: 120 },
    );
  });

  test('is not told where it is no nearer than was asked for', () => {
    fc.assert(
      fc.property(
        bent,
        segment,
        fc.double({ min: 0.1, max: 2, noNaN: true }),
        (points, other, f) => {
          const path = shaped(points);
          const { distance } = pathToSegment(path, other)!;
          const found = pathToSegment(path, other, distance * f);
          if (f <= 1) expect(found).toBeUndefined();
          else if (distance > 1e-3) expect(found!.distance).toBeLessThan(distance + 1e-4);
        },
      ),
      { numRuns: 80 },
    );
  });

  test('is as far from another as that is from it, mirrored and moved too', () => {
    fc.assert(
      fc.property(bent, bent, (a, b) => {
        const changed = (points: readonly RoutePoint[]): RoutePath =>
          shaped(points.map(({ at: [x, y, z], radius }) => ({ at: [x + 4, -y, z - 1], radius })));
        const there = pathToPath(shaped(a), shaped(b))!;
        consistent(there);
        expect(pathToPath(shaped(b), shaped(a))!.distance).toBeCloseTo(there.distance, 3);
        expect(
          Math.abs(pathToPath(changed(a), changed(b))!.distance - there.distance),
        ).toBeLessThan(1.1e-4);
      }),
      { numRuns: 60 },
    );
  });

  test('enters a box that it leads through', () => {
    expect(pathToBox(quarter, { low: [0.6, 0.6, -1], high: [0.8, 0.8, 1] })!.distance).toBeLessThan(
      1e-4,
    );
    expect(pathToBox(quarter, { low: [-0.2, -0.2, -1], high: [0, 0, 1] })!.distance).toBeCloseTo(
      1,
      4,
    );
  });
});
