import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { heightsOf } from './heights.ts';
import {
  type RoutePath,
  type RoutePoint,
  directionAt,
  pieceAt,
  pieceDirection,
  pointAt,
  shapeOf,
} from './path.ts';
import { polylineOf } from './polyline.ts';
import { type Vector, add, distanceBetween, dot, norm, scale, subtract } from './vector.ts';

const route = (...points: readonly (readonly [Vector, number?])[]): RoutePoint[] =>
  points.map(([at, radius = 0]) => ({ at, radius }));
const shaped = (points: readonly RoutePoint[]): RoutePath => {
  const shape = shapeOf(points);
  if (!shape.ok) throw new Error(JSON.stringify(shape.refusals));
  return shape.path;
};
const refusals = (points: readonly RoutePoint[]) => {
  const shape = shapeOf(points);
  return shape.ok ? [] : shape.refusals;
};
const expectAt = (a: Vector | undefined, b: Vector, digits = 9): void => {
  expect(a).toBeDefined();
  expect(distanceBetween(a!, b)).toBeLessThan(10 ** -digits);
};

/** Random routes whose bends fit. */
const anyPath = fc
  .array(
    fc.record({
      x: fc.double({ min: -3, max: 3, noNaN: true }),
      y: fc.double({ min: -1, max: 1, noNaN: true }),
      z: fc.double({ min: 0, max: 1, noNaN: true }),
      radius: fc.double({ min: 0.01, max: 0.2, noNaN: true }),
    }),
    { minLength: 2, maxLength: 7 },
  )
  .map((points) => points.map(({ x, y, z, radius }): RoutePoint => ({ at: [x, y, z], radius })))
  .filter((points) => shapeOf(points).ok)
  .filter((points) =>
    points.every((p, i) => i === 0 || distanceBetween(p.at, points[i - 1]!.at) > 0.01),
  );

describe('a route as straights and arcs', () => {
  test('without a bend is as long as its ends are apart', () => {
    const path = shaped(route([[0, 0, 0]], [[3, 4, 12]]));
    expect(path.length).toBeCloseTo(13, 12);
    expect(path.bends).toEqual([]);
  });

  test('a square corner is shorter by 2r − πr/2 than its legs', () => {
    const path = shaped(route([[0, 0, 0]], [[1, 0, 0], 0.2], [[1, 1, 0]]));
    expect(path.length).toBeCloseTo(2 - 0.4 + (Math.PI / 2) * 0.2, 12);
    expect(path.bends).toHaveLength(1);
    expect(path.bends[0]!.angle).toBeCloseTo(Math.PI / 2, 12);
    expect(path.pieces.map((p) => p.kind)).toEqual(['straight', 'arc', 'straight']);
    expectAt(pointAt(path, 0.8 + (Math.PI / 4) * 0.2), [
      0.8 + 0.2 * Math.SQRT1_2,
      0.2 - 0.2 * Math.SQRT1_2,
      0,
    ]);
  });

  test.each([30, 45, 60, 120, 150])('a corner of %i° takes r·tan(θ/2) of both legs', (degrees) => {
    const angle = (degrees * Math.PI) / 180;
    const end: Vector = [2 + 2 * Math.cos(angle), 0, 2 * Math.sin(angle)];
    const path = shaped(route([[0, 0, 0]], [[2, 0, 0], 0.1], [end]));
    const taken = 0.1 * Math.tan(angle / 2);
    expect(path.length).toBeCloseTo(4 - 2 * taken + 0.1 * angle, 12);
  });

  test('a radius of nothing leaves a corner', () => {
    const path = shaped(route([[0, 0, 0]], [[1, 0, 0]], [[1, 1, 0]]));
    expect(path.length).toBeCloseTo(2, 12);
    expect(path.bends[0]!.radius).toBe(0);
  });

  test('points in one line bend nothing, whatever their radius', () => {
    const path = shaped(route([[0, 0, 0]], [[1, 1, 1], 5], [[2, 2, 2]]));
    expect(path.length).toBeCloseTo(2 * Math.sqrt(3), 12);
    expect(path.bends).toEqual([]);
  });

  test('the whole of a leg may be taken by its two bends', () => {
    const path = shaped(route([[0, 0, 0]], [[1, 0, 0], 0.5], [[1, 1, 0], 0.5], [[2, 1, 0]]));
    expect(path.length).toBeCloseTo(0.5 + Math.PI * 0.5 + 0.5, 9);
  });

  test('runs on without a jump or a kink, and every place is where it says', () => {
    fc.assert(
      fc.property(anyPath, (points) => {
        const path = shaped(points);
        for (let i = 1; i < path.pieces.length; i++) {
          const [before, after] = [path.pieces[i - 1]!, path.pieces[i]!];
          expectAt(pieceAt(before, before.length), pieceAt(after, 0), 7);
          const turn = dot(pieceDirection(before, before.length), pieceDirection(after, 0));
          expect(turn).toBeGreaterThan(1 - 1e-7);
        }
        expectAt(pointAt(path, 0), points[0]!.at, 7);
        expectAt(pointAt(path, path.length), points.at(-1)!.at, 7);
        for (const share of [0.13, 0.5, 0.87]) {
          const s = share * path.length;
          const step = 1e-6;
          const moved = scale(
            subtract(pointAt(path, s + step)!, pointAt(path, s - step)!),
            0.5 / step,
          );
          expect(norm(moved)).toBeCloseTo(1, 4);
          expect(dot(moved, directionAt(path, s)!)).toBeGreaterThan(0.999);
        }
      }),
      { numRuns: 200 },
    );
  });

  test('moved, turned over or run backwards it is as long', () => {
    fc.assert(
      fc.property(anyPath, (points) => {
        const { length } = shaped(points);
        const changed = (to: (at: Vector) => Vector): number =>
          shaped(points.map((p) => ({ ...p, at: to(p.at) }))).length;
        expect(changed((at) => add(at, [7, -3, 2]))).toBeCloseTo(length, 9);
        expect(changed(([x, y, z]) => [x, -y, z])).toBeCloseTo(length, 9);
        expect(changed(([x, y, z]) => [z, x, y])).toBeCloseTo(length, 9);
        expect(shaped([...points].reverse()).length).toBeCloseTo(length, 9);
      }),
    );
  });

  test('more points on the same way change its length by less than 0.1 %', () => {
    fc.assert(
      fc.property(anyPath, (points) => {
        const path = shaped(points);
        fc.pre(path.length > 0.1);
        const count = Math.ceil(path.length / 0.002);
        const fine = Array.from({ length: count + 1 }, (_, i): RoutePoint => ({
          at: pointAt(path, (i / count) * path.length)!,
          radius: 0,
        }));
        expect(Math.abs(shaped(fine).length / path.length - 1)).toBeLessThan(1e-3);
      }),
      { numRuns: 60 },
    );
  });
});

describe('a route that cannot be run is refused', () => {
  test('with the largest radius that would fit, and that one fits', () => {
    const at = (radius: number) => route([[0, 0, 0]], [[0.3, 0, 0], radius], [[0.3, 1, 0]]);
    const [refusal] = refusals(at(0.4));
    expect(refusal).toMatchObject({ point: 1, reason: 'radius' });
    expect(refusal!.largest).toBeCloseTo(0.3, 12);
    expect(refusals(at(refusal!.largest))).toEqual([]);
    expect(refusals(at(refusal!.largest * 1.001))).toHaveLength(1);
  });

  test('each bend is told what its neighbours leave it', () => {
    const found = refusals(route([[0, 0, 0]], [[1, 0, 0], 0.7], [[1, 1, 0], 0.6], [[2, 1, 0]]));
    expect(found.map((r) => r.point)).toEqual([1, 2]);
    expect(found[0]!.largest).toBeCloseTo(0.4, 12);
    expect(found[1]!.largest).toBeCloseTo(0.3, 12);
  });

  test('where it turns back', () => {
    const found = refusals(route([[0, 0, 0]], [[1, 0, 0], 0.1], [[0, 0, 0]]));
    expect(found).toEqual([{ point: 1, reason: 'reversal', largest: 0 }]);
  });

  test('with two points at one place, or fewer than two', () => {
    expect(refusals(route([[0, 0, 0]], [[0, 0, 0], 0.1], [[1, 0, 0]]))).toEqual([
      { point: 1, reason: 'same-place', largest: 0 },
    ]);
    expect(refusals(route([[0, 0, 0]]))[0]!.reason).toBe('too-few');
  });
});

test('a path is drawn through its ends, along its bends, hardly shorter than it is', () => {
  fc.assert(
    fc.property(anyPath, (points) => {
      const path = shaped(points);
      const drawn = polylineOf(path);
      expectAt(drawn[0], points[0]!.at, 7);
      expectAt(drawn.at(-1), points.at(-1)!.at, 7);
      const length = drawn.slice(1).reduce((sum, at, i) => sum + distanceBetween(at, drawn[i]!), 0);
      expect(length).toBeLessThanOrEqual(path.length + 1e-9);
      expect(length).toBeGreaterThan(path.length * 0.999);
    }),
  );
});

describe('high and low points', () => {
  test('of a straight are its ends', () => {
    const heights = heightsOf(shaped(route([[0, 0, 0.5]], [[2, 0, 0.1]])))!;
    expect(heights.highest.s).toBe(0);
    expectAt(heights.lowest.at, [2, 0, 0.1]);
    expect(heights.pockets).toEqual([]);
    expect(heights.sags).toEqual([]);
  });

  test('of a hump is the top of its arc, below the corner', () => {
    const rise = Math.PI / 4;
    const path = shaped(route([[0, 0, 0]], [[1, 0, 1], 0.3], [[2, 0, 0]]));
    const heights = heightsOf(path)!;
    const top = 1 - 0.3 / Math.cos(rise) + 0.3;
    expect(heights.highest.at[2]).toBeCloseTo(top, 12);
    expect(heights.highest.s).toBeCloseTo(path.length / 2, 9);
    expect(heights.pockets).toHaveLength(1);
    expect(heights.pockets[0]!.at[2]).toBeCloseTo(top, 12);
    expect(heights.sags).toEqual([]);
  });

  test('of a line that dips and rises is a sag, a level run in it told once', () => {
    const path = shaped(route([[0, 0, 1]], [[0, 0, 0.2], 0.1], [[2, 0, 0.2], 0.1], [[2, 0, 1]]));
    const heights = heightsOf(path)!;
    expect(heights.sags).toHaveLength(1);
    expect(heights.sags[0]!.at[2]).toBeCloseTo(0.2, 12);
    expect(heights.lowest.at[2]).toBeCloseTo(0.2, 12);
    expect(heights.pockets).toEqual([]);
  });

  test('are those of a fine walk along the path', () => {
    fc.assert(
      fc.property(anyPath, (points) => {
        const path = shaped(points);
        fc.pre(path.length > 0);
        const heights = heightsOf(path)!;
        const walked = Array.from(
          { length: 2001 },
          (_, i) => pointAt(path, (i / 2000) * path.length)![2],
        );
        const most = Math.max(...walked);
        const least = Math.min(...walked);
        expect(heights.highest.at[2]).toBeGreaterThanOrEqual(most - 1e-9);
        expect(heights.lowest.at[2]).toBeLessThanOrEqual(least + 1e-9);
        expect(heights.highest.at[2] - most).toBeLessThan(1e-3);
        expect(least - heights.lowest.at[2]).toBeLessThan(1e-3);
      }),
      { numRuns: 60 },
    );
  });
});
