import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { boxShareBeyond } from './boxShare.ts';
import type { Vector } from './vector.ts';

const box = { low: [0, 0, 0], high: [2, 1, 0.5] } as const;

describe('the share of a box beyond a plane', () => {
  test.each<[place: Vector, direction: Vector, share: number]>([
    [[1, 0.5, 0.25], [0, 0, -1], 0.5],
    [[1, 0.5, 0.1], [0, 0, -1], 0.2],
    [[1, 0.5, 0.6], [0, 0, -1], 1],
    [[1, 0.5, -0.1], [0, 0, -1], 0],
    // A wedge along one edge: half of what stands over its triangle.
    [[0, 0, 0.25], [-1, 0, -4], 0.125],
    // A corner cut off: a pyramid.
    [[0.3, 0, 0], [-1, -1, -1], 0.3 ** 3 / 6 / 1],
  ])('through %j along %j is %d', (place, direction, share) => {
    expect(boxShareBeyond(box, place, direction)).toBeCloseTo(share, 9);
  });

  test('and the share on its other side are the whole; a random sample says the same', () => {
    const part = fc.integer({ min: 1, max: 9 }).chain((n) => fc.constantFrom(n / 9, -n / 9));
    const inside = fc.tuple(
      fc.double({ min: 0, max: 2, noNaN: true }),
      fc.double({ min: 0, max: 1, noNaN: true }),
      fc.double({ min: 0, max: 0.5, noNaN: true }),
    );
    fc.assert(
      fc.property(inside, fc.tuple(part, part, part), (place, direction) => {
        const share = boxShareBeyond(box, place, direction);
        const back: Vector = [-direction[0], -direction[1], -direction[2]];
        expect(share + boxShareBeyond(box, place, back)).toBeCloseTo(1, 6);
        const height = (p: Vector): number =>
          p.reduce((sum, value, k) => sum + value * direction[k]!, 0);
        let [beyond, all] = [0, 0];
        for (let i = 0; i < 20; i++) {
          for (let j = 0; j < 20; j++) {
            for (let k = 0; k < 20; k++) {
              all += 1;
              const p: Vector = [(i + 0.5) / 10, (j + 0.5) / 20, (k + 0.5) / 40];
              if (height(p) > height(place)) beyond += 1;
            }
          }
        }
        expect(Math.abs(share - beyond / all)).toBeLessThan(0.04);
      }),
      { numRuns: 40 },
    );
  });
});
