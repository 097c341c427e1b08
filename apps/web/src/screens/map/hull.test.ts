import { describe, expect, test } from 'vitest';
import { hullOf } from './hull.ts';

describe('the outline around places', () => {
  test('of a square with a place inside is the square', () => {
    const hull = hullOf([
      [0, 0],
      [2, 0],
      [1, 1],
      [2, 2],
      [0, 2],
    ]);
    expect(hull).toHaveLength(4);
    expect(hull).not.toContainEqual([1, 1]);
  });

  test('every place lies on it or to the same side of all its sides', () => {
    const places = Array.from(
      { length: 40 },
      (_, i) => [Math.sin(7 * i) * (i % 5), Math.cos(3 * i) * (i % 7)] as const,
    );
    const hull = hullOf(places);
    expect(hull.length).toBeGreaterThan(2);
    hull.forEach((a, i) => {
      const b = hull[(i + 1) % hull.length]!;
      for (const [x, y] of places) {
        const side = (b[0] - a[0]) * (y - a[1]) - (b[1] - a[1]) * (x - a[0]);
        expect(side).toBeGreaterThanOrEqual(-1e-9);
      }
    });
  });
});
