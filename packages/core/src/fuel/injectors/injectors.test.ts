import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { sampleCatalogue } from '../../exchange/index.ts';
import { lookUp } from '../../catalogue/index.ts';
import { deadTime, injectionAt, staticFlow } from './injection.ts';

const i650 = lookUp(sampleCatalogue, 'injector', { id: 'I650', revision: 1 }, 'test');

const at = (change: Partial<Parameters<typeof injectionAt>[0]> = {}) =>
  injectionAt({
    injector: i650,
    row: { count: 4, shotsPerCycle: 1 },
    rowMassFlow: 0.018,
    speed: 90,
    revolutionsPerCycle: 2,
    pressureDifference: 300e3,
    fuelDensity: 740,
    voltage: 12,
    ...change,
  });

describe('static flow', () => {
  test('is the rating with the rated fluid at the rated pressure', () => {
    const flow = staticFlow(i650, 684, 300e3);
    expect(flow / 684).toBeCloseTo(650e-6 / 60, 12);
  });

  test('goes with the root of pressure and of density', () => {
    expect(staticFlow(i650, 684, 1.2e6) / staticFlow(i650, 684, 300e3)).toBeCloseTo(2, 12);
    expect(staticFlow(i650, 4 * 684, 300e3) / staticFlow(i650, 684, 300e3)).toBeCloseTo(2, 12);
  });

  test('ignoring density would overstate volume flow on E85 by about 7 %', () => {
    const density = 786.65;
    const volume = staticFlow(i650, density, 300e3) / density;
    expect(650e-6 / 60 / volume - 1).toBeCloseTo(0.072, 2);
  });

  test('is zero without pressure difference, and never less', () => {
    expect(staticFlow(i650, 700, 0)).toBe(0);
    expect(staticFlow(i650, 700, -5e3)).toBe(0);
  });
});

describe('dead time', () => {
  test('meets the table at typical points', () => {
    expect(deadTime(i650, 9, 300e3).value).toBeCloseTo(1.7e-3, 9);
    expect(deadTime(i650, 12, 300e3).value).toBeCloseTo(1.1e-3, 9);
    expect(deadTime(i650, 14, 300e3).value).toBeCloseTo(0.85e-3, 9);
  });
  test('is flagged outside the table', () => {
    expect(deadTime(i650, 7, 300e3).outside).toBe(true);
    expect(deadTime(i650, 12, 900e3).outside).toBe(true);
    expect(deadTime(i650, 12, 350e3).outside).toBe(false);
  });
});

describe('pulse and duty', () => {
  test('follow by hand', () => {
    const point = at();
    const period = 2 / 90;
    const static_ = (650e-6 / 60) * Math.sqrt(684 * 740);
    expect(point.period).toBeCloseTo(period, 12);
    expect(point.pulse).toBeCloseTo((0.018 * period) / 4 / static_ + 1.1e-3, 12);
    expect(point.duty).toBeCloseTo(point.pulse / period, 12);
  });

  test('batch firing halves the period and lets dead time count twice', () => {
    const once = at();
    const twice = at({ row: { count: 4, shotsPerCycle: 2 } });
    expect(twice.period).toBeCloseTo(once.period / 2, 12);
    expect(twice.duty - once.duty).toBeCloseTo(once.deadTime / once.period, 12);
  });

  test('duty less dead time does not depend on speed', () => {
    const slow = at({ speed: 30 });
    const fast = at({ speed: 100 });
    const effective = (p: typeof slow) => (p.pulse - p.deadTime) / p.period;
    expect(effective(slow)).toBeCloseTo(effective(fast), 12);
  });

  test('more fuel, less pressure or less voltage never shortens a pulse', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.001, max: 0.03, noNaN: true }),
        fc.double({ min: 200e3, max: 450e3, noNaN: true }),
        fc.double({ min: 8.5, max: 15, noNaN: true }),
        (rowMassFlow, pressureDifference, voltage) => {
          const base = at({ rowMassFlow, pressureDifference, voltage });
          expect(
            at({ rowMassFlow: rowMassFlow * 1.1, pressureDifference, voltage }).pulse,
          ).toBeGreaterThan(base.pulse);
          expect(
            at({ rowMassFlow, pressureDifference, voltage: voltage - 0.4 }).pulse,
          ).toBeGreaterThanOrEqual(base.pulse);
        },
      ),
    );
  });

  test('without any pressure the duty is absurd but a number', () => {
    const point = at({ pressureDifference: 0 });
    expect(Number.isFinite(point.duty)).toBe(true);
    expect(point.duty).toBeGreaterThan(100);
  });

  test('a rotary fires once a shaft revolution', () => {
    expect(at({ revolutionsPerCycle: 1 }).period).toBeCloseTo(1 / 90, 12);
  });
});
