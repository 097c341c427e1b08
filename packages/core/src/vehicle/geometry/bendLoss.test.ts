import { describe, expect, test } from 'vitest';
import { bendLoss } from './bendLoss.ts';

const degrees = (value: number): number => (value * Math.PI) / 180;

describe('the loss of a smooth bend', () => {
  test.each([
    [90, 1, 0.21],
    [90, 4, 0.105],
    [90, 10, 0.21 / Math.sqrt(10)],
    [45, 4, 0.105 * 0.9 * Math.SQRT1_2],
    [180, 4, 0.105 * 1.4],
    [90, 0.5, 0.21 / 0.5 ** 2.5],
  ])('of %d° with r/D %d is %d', (angle, ratio, loss) => {
    expect(bendLoss({ angle: degrees(angle), radius: ratio * 0.01, bore: 0.01 })).toBeCloseTo(
      loss,
      12,
    );
  });

  test('grows with the angle without a step, and falls with the radius', () => {
    const at = (angle: number, radius = 0.05): number =>
      bendLoss({ angle: degrees(angle), radius, bore: 0.01 });
    for (let angle = 1; angle < 180; angle++) {
      expect(at(angle)).toBeGreaterThan(at(angle - 1));
      expect(at(angle) - at(angle - 1)).toBeLessThan(0.004);
    }
    expect(at(90, 0.1)).toBeLessThan(at(90, 0.05));
    expect(at(0)).toBe(0);
  });
});
