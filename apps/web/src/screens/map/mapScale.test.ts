import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { type MapView, keyStep, mapScale, mapViews, snapped } from './mapScale.ts';

const places = [
  [-0.5, -0.6, 0.3],
  [3.1, 0.4, 0.9],
] as const;

describe.each(mapViews)('the %s view', (view: MapView) => {
  const scale = mapScale(view, places, 700);

  test('shows every place inside, with one scale both ways', () => {
    for (const at of places) {
      expect(scale.x(at)).toBeGreaterThan(0);
      expect(scale.x(at)).toBeLessThan(scale.width);
      expect(scale.y(at)).toBeGreaterThan(0);
      expect(scale.y(at)).toBeLessThan(scale.height);
    }
    const [back, front] = places;
    // Forward is to the right; from behind the left side is on the left.
    const across = view === 'end' ? -1 : 3.6;
    expect(scale.x(front) - scale.x(back)).toBeCloseTo(across * scale.perMetre, 9);
    const up = view === 'plan' ? 1 : 0.6;
    expect(scale.y(back) - scale.y(front)).toBeCloseTo(up * scale.perMetre, 9);
  });

  test('finds a place again where it was drawn, and leaves alone what it does not show', () => {
    const near = fc.double({ min: -1, max: 3, noNaN: true });
    fc.assert(
      fc.property(near, near, near, (x, y, z) => {
        const hidden = { side: 1, plan: 2, end: 0 }[view];
        const from = [0.1, 0.2, 0.3] as const;
        const at = scale.moved(from, scale.x([x, y, z]), scale.y([x, y, z]));
        const expected = [x, y, z];
        expected[hidden] = from[hidden];
        at.forEach((value, axis) => expect(value).toBeCloseTo(expected[axis]!, 9));
      }),
    );
  });

  test('arrow keys step along what it shows', () => {
    const right = view === 'end' ? [0, -0.005, 0] : [0.005, 0, 0];
    expect(keyStep(view, 'ArrowRight', false)).toEqual(right);
    expect(keyStep(view, 'ArrowUp', true)).toEqual(view === 'plan' ? [0, 0.05, 0] : [0, 0, 0.05]);
    expect(keyStep(view, 'Enter', false)).toBeUndefined();
  });
});

test('places snap to 5 mm', () => {
  expect(snapped([0.1234, -0.4961, 2.0026])).toEqual([0.125, -0.495, 2.005]);
});

test('side and plan have one scale and keep within the height for both', () => {
  const high = [...places, [0, 0, 3]] as const;
  const side = mapScale('side', high, 700, 300);
  const plan = mapScale('plan', high, 700, 300);
  expect(side.perMetre).toBe(plan.perMetre);
  expect(side.height + plan.height).toBeLessThanOrEqual(300 + 1e-9);
  expect(side.x([1, 0, 0])).toBe(plan.x([1, 0, 0]));
});
