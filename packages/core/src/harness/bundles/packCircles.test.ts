import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { packCircles } from './packCircles.ts';
import { packedBundle, packedDiameter } from './packedBundle.ts';

/** How far the worst pair, or the wall, is overlapped. */
function overlapOf(radii: readonly number[], effort: 'quick' | 'thorough'): number {
  const { radius, centres } = packCircles(radii, effort);
  let worst = -Infinity;
  radii.forEach((r, i) => {
    const [x, y] = centres[i]!;
    worst = Math.max(worst, Math.hypot(x, y) + r - radius);
    for (let j = 0; j < i; j++) {
      const [u, v] = centres[j]!;
      worst = Math.max(worst, r + radii[j]! - Math.hypot(x - u, y - v));
    }
  });
  return worst;
}

const alike = (count: number): number[] => Array<number>(count).fill(1);
const rising = (count: number): number[] => Array.from({ length: count }, (_, i) => i + 1);

describe('circles packed into a circle', () => {
  test.each([
    [1, 1],
    [2, 2],
    [3, 1 + 2 / Math.sqrt(3)],
    [4, 1 + Math.SQRT2],
    [5, 1 + 1 / Math.sin(Math.PI / 5)],
    [6, 3],
    [7, 3],
    [8, 1 + 1 / Math.sin(Math.PI / 7)],
    [9, 1 + 1 / Math.sin(Math.PI / 8)],
    [19, 1 + Math.SQRT2 + Math.sqrt(6)],
  ])('%i alike come to their closed form', (count, radius) => {
    expect(packCircles(alike(count)).radius).toBeCloseTo(radius, 2);
    expect(packCircles(alike(count)).radius).toBeGreaterThan(radius - 1e-9);
  });

  // Best known radii: alike ones of radius 1, and circles of radius 1, 2, 3 … n.
  test.each([
    [alike(12), 4.029602],
    [alike(13), 4.236068],
    [alike(16), 4.615426],
    [alike(37), 6.758774],
    [alike(61), 8.661298],
    [alike(91), 10.546841],
    [rising(5), 9.001398],
    [rising(8), 16.221747],
    [rising(10), 22.000193],
    [rising(13), 31.545867],
    [rising(16), 42.458116],
    [rising(20), 58.400567],
  ])('are within 6 %% of the best known', (radii, best) => {
    for (const effort of ['quick', 'thorough'] as const) {
      const { radius } = packCircles(radii, effort);
      expect(radius).toBeGreaterThan(best * (1 - 1e-6));
      expect(radius).toBeLessThan(best * 1.06);
    }
  });

  const some = fc.array(fc.double({ min: 0.0006, max: 0.006, noNaN: true }), {
    minLength: 1,
    maxLength: 40,
  });

  test('never overlap, whatever they are, and fill at least as much as a loose heap', () => {
    fc.assert(
      fc.property(some, (radii) => {
        expect(overlapOf(radii, 'quick')).toBeLessThan(1e-9);
        const { radius } = packCircles(radii, 'quick');
        const area = radii.reduce((sum, r) => sum + r * r, 0);
        expect(area).toBeLessThanOrEqual(radius * radius * (1 + 1e-9));
        expect(radius).toBeLessThanOrEqual(radii.reduce((sum, r) => sum + r, 0) * (1 + 1e-9));
        expect(area / radius ** 2).toBeGreaterThan(0.45);
      }),
      { numRuns: 60 },
    );
  });

  test('are the same for the same circles, in whatever order, and grow with their scale', () => {
    fc.assert(
      fc.property(some, fc.double({ min: 0.1, max: 9, noNaN: true }), (radii, scale) => {
        const diameters = radii.map((r) => 2 * r);
        const known = packedDiameter(diameters);
        expect(packedDiameter([...diameters].reverse())).toBe(known);
        expect(packedDiameter(diameters.map((d) => d * scale)) / scale / known).toBeCloseTo(1, 2);
        const { radius, centres } = packedBundle([...diameters].reverse());
        expect(2 * radius).toBe(known);
        expect(centres).toHaveLength(radii.length);
      }),
      { numRuns: 30 },
    );
  });

  test('that are none take no room; one without a width is refused', () => {
    expect(packCircles([])).toEqual({ radius: 0, centres: [] });
    expect(() => packCircles([1, 0])).toThrow(RangeError);
    expect(() => packCircles([1, Number.NaN])).toThrow(RangeError);
  });
});
