import { describe, expect, test } from 'vitest';
import { fuelShape } from './fuelShape.ts';

const box = { width: 0.7, height: 0.32 };
const area = (corners: readonly (readonly [number, number])[]): number =>
  Math.abs(
    corners.reduce((sum, [x, y], i) => {
      const [a, b] = corners[(i + 1) % corners.length]!;
      return sum + x * b - a * y;
    }, 0),
  ) / 2;

describe('fuel in a flat view of a tank', () => {
  test('level fuel is a rectangle of its share', () => {
    const shape = fuelShape({ ...box, slope: 0, share: 0.25 });
    expect(Math.max(...shape.map(([, up]) => up))).toBeCloseTo(0.08, 9);
  });

  test.each([
    [0.8, 0.25],
    [-0.6, 0.25],
    [1.5, 0.1],
    [-0.3, 0.9],
  ])('a slope of %f keeps a share of %f within the box', (slope, share) => {
    const shape = fuelShape({ ...box, slope, share });
    expect(area(shape)).toBeCloseTo(share * box.width * box.height, 9);
    for (const [across, up] of shape) {
      expect(across).toBeGreaterThanOrEqual(-1e-12);
      expect(across).toBeLessThanOrEqual(box.width + 1e-12);
      expect(up).toBeGreaterThanOrEqual(-1e-12);
      expect(up).toBeLessThanOrEqual(box.height + 1e-12);
    }
  });

  test('braking drives it forward: the surface rises towards the front by the push', () => {
    const shape = fuelShape({ ...box, slope: 0.2, share: 0.5 });
    const at = (across: number) =>
      Math.max(...shape.filter(([x]) => Math.abs(x - across) < 1e-9).map(([, up]) => up));
    expect((at(0.7) - at(0)) / 0.7).toBeCloseTo(0.2, 9);
  });

  test('an empty tank shows no area', () => {
    expect(area(fuelShape({ ...box, slope: 0.5, share: 0 }))).toBeCloseTo(0, 9);
  });
});
