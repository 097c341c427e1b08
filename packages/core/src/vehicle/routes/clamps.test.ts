import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { computeFormula } from '../../results/index.ts';
import { NEAR_END, clampExcess, clampGap, clampsAsked, evenClamps } from './clamps.ts';

const anyLength = fc.double({ min: 0.05, max: 12, noNaN: true });
const anyPitch = fc.constantFrom(0.45, 0.6);

describe('clamps', () => {
  test('a short line has one in its middle', () => {
    expect(evenClamps(0.2, 0.45)).toEqual([0.1]);
  });

  test('a line of 1.14 m of hose has three, the outer ones 120 mm from its ends', () => {
    expect(clampsAsked(1.14, 0.45)).toBe(3);
    const places = evenClamps(1.14, 0.45);
    expect(places[0]).toBeCloseTo(0.12, 12);
    expect(places[1]).toBeCloseTo(0.57, 12);
    expect(places[2]).toBeCloseTo(1.02, 12);
  });

  test('spread evenly they are as many as asked and leave nothing free', () => {
    fc.assert(
      fc.property(anyLength, anyPitch, (length, pitch) => {
        const places = evenClamps(length, pitch);
        expect(places).toHaveLength(clampsAsked(length, pitch));
        expect(clampExcess(length, pitch, places)).toBeLessThanOrEqual(1e-9);
        for (const place of places) {
          expect(place).toBeGreaterThanOrEqual(0);
          expect(place).toBeLessThanOrEqual(length);
        }
      }),
    );
  });

  test('one less would leave a stretch free', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.8, max: 12, noNaN: true }), anyPitch, (length, pitch) => {
        const count = clampsAsked(length, pitch) - 1;
        if (count < 2) return;
        const step = (length - 2 * NEAR_END) / (count - 1);
        const fewer = Array.from({ length: count }, (_, i) => NEAR_END + step * i);
        expect(clampExcess(length, pitch, fewer)).toBeGreaterThan(-1e-9);
      }),
    );
  });

  test('the longest stretch counts from the ends too, in any order', () => {
    expect(computeFormula(clampGap, { length: 2, places: [1.9, 0.4, 1] })).toBeCloseTo(0.9, 12);
    expect(computeFormula(clampGap, { length: 2, places: [1.2] })).toBeCloseTo(1.2, 12);
    expect(clampExcess(2, 0.45, [0.5, 1, 1.5])).toBeCloseTo(0.38, 12);
  });
});
