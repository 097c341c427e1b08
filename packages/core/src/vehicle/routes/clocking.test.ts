import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { lantern } from '../../exchange/index.ts';
import { type RoutePath, shapeOf } from '../geometry/path.ts';
import { carriedAlong, turnedAbout } from '../geometry/transport.ts';
import { type Vector, distanceBetween, dot, norm, unit } from '../geometry/vector.ts';
import { clockingOf } from './clocking.ts';
import { evaluated } from '../../tests/evaluated.ts';

const pathOf = (radius: number, ...places: readonly Vector[]): RoutePath => {
  const shape = shapeOf(places.map((at) => ({ at, radius })));
  if (!shape.ok) throw new Error('no path');
  return shape.path;
};
const degrees = (value: number | undefined): number => ((value ?? NaN) * 180) / Math.PI;
const straight = pathOf(0, [0, 0, 0], [1, 0, 0]);
const down: Vector = [0, 0, -1];

describe('a direction carried without twist', () => {
  test('stays as it is along a straight, and turns with a bend', () => {
    expect(carriedAlong(straight, [0, 0, 1])).toEqual([0, 0, 1]);
    const bend = pathOf(0.2, [0, 0, 0], [1, 0, 0], [1, 1, 0]);
    // What pointed ahead points ahead; what stood across the bend's plane still does.
    expect(distanceBetween(carriedAlong(bend, [1, 0, 0]), [0, 1, 0])).toBeLessThan(1e-12);
    expect(distanceBetween(carriedAlong(bend, [0, 0, 1]), [0, 0, 1])).toBeLessThan(1e-12);
    expect(distanceBetween(carriedAlong(bend, [0, 1, 0]), [-1, 0, 0])).toBeLessThan(1e-12);
  });

  test('keeps its length and its angle to the path, and does not care for the radius', () => {
    const place = fc.tuple(...[0, 1, 2].map(() => fc.integer({ min: 0, max: 9 })));
    fc.assert(
      fc.property(place, place, place, (a, b, c) => {
        const at = (v: number[], i: number): Vector => [
          i + (v[0] ?? 0) / 20,
          (v[1] ?? 0) / 10,
          (v[2] ?? 0) / 10,
        ];
        const places = [[-1, 0, 0] as Vector, at(a, 0), at(b, 1), at(c, 2)];
        const [small, sharp] = [pathOf(0.02, ...places), pathOf(0, ...places)];
        const v = unit([0.3, -0.5, 0.8]);
        const carried = carriedAlong(small, v);
        expect(norm(carried)).toBeCloseTo(1, 12);
        expect(dot(carried, small.endDirection)).toBeCloseTo(dot(v, small.startDirection), 9);
        expect(distanceBetween(carried, carriedAlong(sharp, v))).toBeLessThan(1e-9);
      }),
    );
  });
});

describe('clocking', () => {
  test('both noses the same way: none', () => {
    expect(clockingOf(straight, [down, down])).toBeCloseTo(0, 12);
  });

  test('is clockwise for who looks along the hose from its beginning', () => {
    // Looking forward with the head up: from up, clockwise, comes the right.
    const up: Vector = [0, 0, 1];
    const right: Vector = [0, -1, 0];
    expect(degrees(clockingOf(straight, [up, right]))).toBeCloseTo(90, 9);
    expect(degrees(clockingOf(straight, [right, up]))).toBeCloseTo(270, 9);
    expect(degrees(clockingOf(straight, [up, down]))).toBeCloseTo(180, 9);
  });

  test('has no value where an end is straight', () => {
    expect(clockingOf(straight, [[-1, 0, 0], down])).toBeUndefined();
    expect(clockingOf(straight, [down, [1, 0, 0]])).toBeUndefined();
  });

  test('does not depend on how far an end is angled', () => {
    const at45 = unit([-1, 0, -1]);
    expect(clockingOf(straight, [at45, down])).toBeCloseTo(0, 12);
  });

  test('after two bends out of one plane', () => {
    // Forward, left, up: what hung down at the beginning looks forward at the end.
    const path = pathOf(0.1, [0, 0, 0], [1, 0, 0], [1, 1, 0], [1, 1, 1]);
    expect(distanceBetween(carriedAlong(path, down), [0, 1, 0])).toBeLessThan(1e-12);
    expect(degrees(clockingOf(path, [down, [0, 1, 0]]))).toBeCloseTo(0, 9);
    // Looking up, clockwise from the left comes the front.
    expect(degrees(clockingOf(path, [down, [1, 0, 0]]))).toBeCloseTo(270, 9);
  });

  test('read from the other end it is the same number, on the mirrored vehicle the rest of the turn', () => {
    const places: readonly Vector[] = [
      [0, 0, 0],
      [1, 0.2, 0],
      [1.2, 1, 0.4],
      [2, 1.1, 1],
    ];
    const noses: readonly [Vector, Vector] = [unit([0.2, -1, 0.4]), unit([0.5, 0.3, -1])];
    const here = clockingOf(pathOf(0.1, ...places), noses)!;
    const back = clockingOf(pathOf(0.1, ...[...places].reverse()), [noses[1], noses[0]])!;
    expect(back).toBeCloseTo(here, 9);
    const flip = ([x, y, z]: Vector): Vector => [x, -y, z];
    const mirrored = clockingOf(pathOf(0.1, ...places.map(flip)), [
      flip(noses[0]),
      flip(noses[1]),
    ])!;
    expect(mirrored).toBeCloseTo(2 * Math.PI - here, 9);
  });

  test('turning one end of the hose turns it by as much', () => {
    const path = pathOf(0.1, [0, 0, 0], [1, 0, 0], [1, 1, 0.3]);
    const second = unit([1, 0, 0]);
    const first = clockingOf(path, [down, second])!;
    const turned = turnedAbout(second, path.endDirection, 0.4);
    expect(clockingOf(path, [down, turned])! - first).toBeCloseTo(0.4, 9);
  });
});

describe('clocking of the demos', () => {
  const clock = (document: typeof lantern, line: string) =>
    evaluated(document).results.find((r) => r.key === `line.${line}.clocking`);

  test('the hose that rises from coarse filter to pump has its ends opposite', () => {
    expect(degrees(clock(lantern, 'pump-inlet')?.value)).toBeCloseTo(180, 6);
  });

  test('a hose with a straight end, or an end without a port, has none', () => {
    expect(clock(lantern, 'pump-outlet')).toBeUndefined();
    expect(clock(lantern, 'feed')).toBeUndefined();
  });
});
