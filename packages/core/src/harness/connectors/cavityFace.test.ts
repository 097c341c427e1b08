import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { cavityFace } from './cavityFace.ts';

const plug = (family: string, ways: number) => ({
  family,
  cavities: Array.from({ length: ways }, (_, i) => ({ pin: `${i + 1}` })),
});
const ways = fc.integer({ min: 1, max: 128 });
const families = fc.constantFrom('S1.5', 'header', 'round bulkhead');

describe('the face of a plug', () => {
  test('has a place for every cavity, none nearer to another than 0.9 pitches', () => {
    fc.assert(
      fc.property(families, ways, (family, count) => {
        const face = cavityFace(plug(family, count), 'wire');
        expect(face).toHaveLength(count);
        expect(new Set(face.map(({ pin }) => pin)).size).toBe(count);
        for (const [i, a] of face.entries()) {
          for (const b of face.slice(i + 1)) {
            expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeGreaterThan(0.9);
          }
        }
      }),
      { numRuns: 60 },
    );
  });

  test('is mirrored from left to right on the other side, and upright on both', () => {
    fc.assert(
      fc.property(families, ways, (family, count) => {
        const wire = cavityFace(plug(family, count), 'wire');
        const mating = cavityFace(plug(family, count), 'mating');
        wire.forEach(({ pin, x, y }, i) => {
          expect(mating[i]!.pin).toBe(pin);
          expect(mating[i]!.x).toBeCloseTo(-x, 12);
          expect(mating[i]!.y).toBeCloseTo(y, 12);
        });
      }),
      { numRuns: 60 },
    );
  });

  test('begins with way 1 at the upper left of a plug in rows, seen where it meets its part', () => {
    const face = cavityFace(plug('header', 34), 'mating');
    const first = face[0]!;
    expect(face.every(({ x, y }) => x >= first.x - 1e-9 && y >= first.y - 1e-9)).toBe(true);
  });
});
