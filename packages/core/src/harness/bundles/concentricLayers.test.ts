import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { LAY_PITCH, concentricLayers, laidCircles } from './concentricLayers.ts';

const alike = (count: number, d = 0.0016): number[] => Array<number>(count).fill(d);

describe('a bundle laid in layers', () => {
  test.each([
    [7, [1, 6], 3],
    [19, [1, 6, 12], 5],
    [37, [1, 6, 12, 18], 7],
    [61, [1, 6, 12, 18, 24], 9],
  ])('of %i alike has so many in each, and no filler', (count, inEach, across) => {
    const { layers, diameter } = concentricLayers(alike(count));
    expect(layers.map(({ wires }) => wires.length)).toEqual(inEach);
    expect(layers.every(({ fillers }) => fillers === 0)).toBe(true);
    expect(diameter).toBeCloseTo(across * 0.0016, 12);
  });

  test('is filled up where a layer is not full, and twisted against the one under it', () => {
    const { layers } = concentricLayers(alike(10));
    expect(layers.map(({ wires, fillers }) => [wires.length, fillers])).toEqual([
      [1, 0],
      [6, 0],
      [3, 9],
    ]);
    expect(layers.map(({ lay }) => lay)).toEqual(['straight', 'right', 'left']);
  });

  test('makes a wire longer by its lay: tan α = π · D / pitch', () => {
    const [, first, second] = concentricLayers(alike(19)).layers;
    for (const { inner, outer, pitch, factor } of [first!, second!]) {
      expect(pitch).toBeCloseTo(LAY_PITCH * outer, 12);
      const angle = Math.atan((Math.PI * (inner + 0.0016)) / pitch);
      expect(factor).toBeCloseTo(1 / Math.cos(angle), 12);
    }
    expect(second!.factor).toBeGreaterThan(first!.factor);
  });

  test('holds every wire once, none over another, none outside', () => {
    const some = fc.array(fc.double({ min: 0.001, max: 0.006, noNaN: true }), {
      minLength: 0,
      maxLength: 70,
    });
    fc.assert(
      fc.property(some, (diameters) => {
        const { layers, diameter } = concentricLayers(diameters);
        const wires = layers.flatMap((layer) => layer.wires);
        expect([...wires].sort((a, b) => a - b)).toEqual(diameters.map((_, i) => i));
        const circles = laidCircles(diameters);
        circles.forEach((a, i) => {
          expect(Math.hypot(a.x, a.y) + a.diameter / 2).toBeLessThan(diameter / 2 + 1e-9);
          for (const b of circles.slice(0, i)) {
            expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeGreaterThan(
              (a.diameter + b.diameter) / 2 - 1e-9,
            );
          }
        });
        expect(circles.filter(({ wire }) => wire !== undefined)).toHaveLength(diameters.length);
      }),
      { numRuns: 60 },
    );
  });
});
