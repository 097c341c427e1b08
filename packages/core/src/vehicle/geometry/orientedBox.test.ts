import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import { pathToBox } from './distances.ts';
import {
  type OrientedBox,
  axesOf,
  boundsOfOriented,
  cornersOfBox,
  edgesOfBox,
  intoFrame,
  orientedOf,
  orientedToOriented,
  outOfFrame,
  ownBox,
  pathIntoFrame,
  segmentToOriented,
  separationOf,
} from './orientedBox.ts';
import { shapeOf } from './path.ts';
import { type Vector, add, cross, distanceBetween, dot, norm } from './vector.ts';

const degrees = (value: number): number => (value * Math.PI) / 180;
const boxAt = (
  middle: Vector,
  half: Vector,
  [heading, pitch]: readonly [number, number] = [0, 0],
): OrientedBox => ({
  middle,
  half,
  axes: axesOf({ heading: degrees(heading), pitch: degrees(pitch) }),
});

const angle = fc.double({ min: -180, max: 180, noNaN: true });
const place = fc.tuple(
  ...[0, 1, 2].map(() => fc.double({ min: -1, max: 1, noNaN: true })),
) as fc.Arbitrary<[number, number, number]>;
const half = fc.tuple(
  ...[0, 1, 2].map(() => fc.double({ min: 0.02, max: 0.4, noNaN: true })),
) as fc.Arbitrary<[number, number, number]>;
const anyBox = fc
  .tuple(place, half, angle, fc.double({ min: -80, max: 80, noNaN: true }))
  .map(([middle, sides, heading, pitch]) => boxAt(middle, sides, [heading, pitch]));

describe('where something looks', () => {
  test('a heading turns its front to the left, a pitch raises it', () => {
    const [left] = axesOf({ heading: degrees(90), pitch: 0 });
    expect(distanceBetween(left, [0, 1, 0])).toBeLessThan(1e-12);
    const [up] = axesOf({ heading: degrees(30), pitch: degrees(90) });
    expect(distanceBetween(up, [0, 0, 1])).toBeLessThan(1e-12);
  });

  test('its axes stand square and right-handed however it looks', () => {
    fc.assert(
      fc.property(angle, angle, (heading, pitch) => {
        const [f, l, u] = axesOf({ heading: degrees(heading), pitch: degrees(pitch) });
        expect(norm(f)).toBeCloseTo(1, 12);
        expect(norm(l)).toBeCloseTo(1, 12);
        expect(dot(f, l)).toBeCloseTo(0, 12);
        expect(distanceBetween(cross(f, l), u)).toBeLessThan(1e-12);
        expect(l[2]).toBe(0);
      }),
    );
  });

  test('into a frame and out again leads back', () => {
    fc.assert(
      fc.property(anyBox, place, (box, at) => {
        expect(distanceBetween(outOfFrame(box, intoFrame(box, at)), at)).toBeLessThan(1e-12);
      }),
    );
  });
});

describe('boxes that look somewhere', () => {
  test('eight corners and twelve edges lie within the box around them', () => {
    fc.assert(
      fc.property(anyBox, (box) => {
        const { low, high } = boundsOfOriented(box);
        const corners = cornersOfBox(box);
        expect(corners).toHaveLength(8);
        for (const k of [0, 1, 2] as const) {
          expect(Math.min(...corners.map((c) => c[k]))).toBeCloseTo(low[k], 9);
          expect(Math.max(...corners.map((c) => c[k]))).toBeCloseTo(high[k], 9);
        }
        const total = edgesOfBox(box).reduce((sum, e) => sum + distanceBetween(e.from, e.to), 0);
        expect(total).toBeCloseTo(8 * (box.half[0] + box.half[1] + box.half[2]), 9);
      }),
    );
  });

  test('side by side: the gap between their faces', () => {
    const a = boxAt([0, 0, 0], [0.1, 0.1, 0.1]);
    const near = orientedToOriented(a, boxAt([0.5, 0, 0], [0.2, 0.05, 0.05]));
    expect(near.distance).toBeCloseTo(0.2, 12);
    expect(near.at[0]).toBeCloseTo(0.1, 12);
    expect(near.to[0]).toBeCloseTo(0.3, 12);
  });

  test('turned by 45° a cube reaches out by its diagonal', () => {
    const a = boxAt([0, 0, 0], [0.1, 0.1, 0.1], [45, 0]);
    const b = boxAt([0.5, 0, 0], [0.1, 0.1, 0.1]);
    expect(orientedToOriented(a, b).distance).toBeCloseTo(0.4 - 0.1 * Math.SQRT2, 12);
  });

  test('in one another: as deep as the shortest way out', () => {
    const a = boxAt([0, 0, 0], [0.1, 0.1, 0.1]);
    const b = boxAt([0.15, 0, 0], [0.1, 0.3, 0.3]);
    expect(orientedToOriented(a, b).distance).toBeCloseTo(-0.05, 12);
    // Crossed like a plus: no corner of either lies in the other.
    const across = boxAt([0, 0, 0], [0.5, 0.02, 0.02]);
    const up = boxAt([0, 0, 0], [0.02, 0.02, 0.5]);
    expect(orientedToOriented(across, up).distance).toBeCloseTo(-0.04, 12);
    // One inside the other.
    expect(
      orientedToOriented(boxAt([0, 0, 0], [0.01, 0.01, 0.01]), boxAt([0, 0, 0], [1, 1, 1]))
        .distance,
    ).toBeCloseTo(-1.01, 12);
  });

  test('it does not matter which is asked, nor where both are moved', () => {
    fc.assert(
      fc.property(anyBox, anyBox, place, (a, b, by) => {
        const there = orientedToOriented(a, b).distance;
        expect(orientedToOriented(b, a).distance).toBeCloseTo(there, 9);
        const moved = (box: OrientedBox): OrientedBox => ({ ...box, middle: add(box.middle, by) });
        expect(orientedToOriented(moved(a), moved(b)).distance).toBeCloseTo(there, 9);
      }),
    );
  });

  test('apart they are never nearer than the best parting plane says, and no sampled points are nearer', () => {
    fc.assert(
      fc.property(anyBox, anyBox, (a, b) => {
        const { distance } = orientedToOriented(a, b);
        expect(distance).toBeGreaterThanOrEqual(separationOf(a, b) - 1e-9);
        if (distance <= 0) return;
        for (let i = 0; i < 40; i++) {
          const within = (box: OrientedBox, seed: number): Vector =>
            outOfFrame(box, [
              box.half[0] * Math.sin(seed * 12.9),
              box.half[1] * Math.sin(seed * 78.2),
              box.half[2] * Math.sin(seed * 37.7),
            ]);
          expect(distanceBetween(within(a, i + 1), within(b, i + 2))).toBeGreaterThanOrEqual(
            distance - 1e-9,
          );
        }
      }),
      { numRuns: 60 },
    );
  });

  test('mirrored in the middle plane all distances stay', () => {
    fc.assert(
      fc.property(place, half, angle, place, (middle, sides, heading, from) => {
        const segment = { from, to: add(from, [0.3, 0.2, -0.1]) };
        const here = segmentToOriented(segment, boxAt(middle, sides, [heading, 0])).distance;
        const flip = ([x, y, z]: Vector): Vector => [x, -y, z];
        const there = segmentToOriented(
          { from: flip(segment.from), to: flip(segment.to) },
          boxAt(flip(middle), sides, [-heading, 0]),
        ).distance;
        expect(there).toBeCloseTo(here, 9);
      }),
    );
  });

  test('a path seen from a box is as long, and as near to it', () => {
    const shape = shapeOf([
      { at: [0, 0, 0], radius: 0 },
      { at: [1, 0, 0.2], radius: 0.2 },
      { at: [1, 1, 0.4], radius: 0 },
    ]);
    if (!shape.ok) throw new Error('no path');
    const straight = { low: [1.2, 0.4, 0] as Vector, high: [1.5, 0.6, 0.5] as Vector };
    const box = orientedOf(straight);
    const seen = pathIntoFrame(box, shape.path);
    expect(seen.length).toBe(shape.path.length);
    expect(pathToBox(seen, ownBox(box))!.distance).toBeCloseTo(
      pathToBox(shape.path, straight)!.distance,
      9,
    );
    const turned: OrientedBox = { ...box, axes: axesOf({ heading: 1, pitch: 0.4 }) };
    const found = pathToBox(pathIntoFrame(turned, shape.path), ownBox(turned))!;
    const at = outOfFrame(turned, found.at);
    const to = outOfFrame(turned, found.to);
    expect(distanceBetween(at, to)).toBeCloseTo(found.distance, 9);
  });
});
