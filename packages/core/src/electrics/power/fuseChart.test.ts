import { describe, expect, test } from 'vitest';
import { type FuseItem, newestOf } from '../../catalogue/index.ts';
import { sampleCatalogue } from '../../exchange/index.ts';
import { damageBeforeOpening, fuseChart } from './fuseChart.ts';
import { letThrough, openingTime } from './fuseCurve.ts';
import { insulationWithstand } from './wireCriteria.ts';

const fuse = (rating: number): FuseItem =>
  newestOf(sampleCatalogue, 'fuse').find((f) => f.style === 'blade' && f.rating === rating)!;
const wire = (size: string) =>
  newestOf(sampleCatalogue, 'wire').find((w) => w.system === 'metric' && w.size.startsWith(size))!;
const load = { running: 12, inrushFactor: 4, inrushTime: 0.05 };
const chartOf = (rating: number, size: string, temperature = 353.15) =>
  fuseChart({ fuse: fuse(rating), wire: wire(size), temperature, ampacity: 20, load });

describe('a fuse against its wire', () => {
  test('its edges are those of the band, and go on by a constant I²t', () => {
    const { slowest, fastest } = chartOf(20, '2.5');
    for (const { current, time } of slowest) {
      expect(time).toBeCloseTo(openingTime(fuse(20).band, 'slowest', current / 20), 9);
    }
    // Where it may never open nothing is drawn of its slow edge.
    expect(slowest[0]!.current).toBeGreaterThanOrEqual(1.35 * 20);
    expect(fastest[0]!.current).toBeCloseTo(1.1 * 20, 9);
    for (const { current, time } of slowest) {
      const soonest = fastest.find((point) => point.current === current)!;
      expect(time).toBeGreaterThanOrEqual(soonest.time);
    }
    const past = slowest.filter(({ current }) => current > 6 * 20);
    expect(past.length).toBeGreaterThan(5);
    for (const { current, time } of past)
      expect(current ** 2 * time).toBeCloseTo(120 ** 2 * 0.1, 6);
  });

  test('the wire stands the same I²t all along, less when it is hot already', () => {
    const { damage } = chartOf(20, '2.5');
    const withstand = insulationWithstand(wire('2.5'), 353.15);
    for (const { current, time } of damage) {
      expect(current ** 2 * time).toBeCloseTo(withstand, 6);
    }
    expect(chartOf(20, '2.5', 393.15).damage[0]!.current).toBeLessThan(damage[0]!.current);
  });

  test('the load begins with its inrush and settles to what it takes', () => {
    const drawn = chartOf(20, '2.5').load;
    expect(drawn[0]!.current).toBeCloseTo(12 * (1 + 3 * Math.exp(-1e-3 / 0.05)), 9);
    expect(drawn.at(-1)!.current).toBeCloseTo(12, 9);
  });

  test.each([
    [15, '2.5', false],
    [40, '0.35', true],
  ] as const)('a %i A fuse on %s mm²: damaged before it opens: %s', (rating, size, late) => {
    const current = damageBeforeOpening(chartOf(rating, size));
    expect(current !== undefined).toBe(late);
    if (current === undefined) return;
    expect(letThrough(fuse(rating), current)).toBeGreaterThan(
      insulationWithstand(wire(size), 353.15),
    );
  });

  test('a fuse without a curve has no edges', () => {
    const chart = fuseChart({
      fuse: { ...fuse(20), band: [] },
      wire: wire('2.5'),
      temperature: 353.15,
      ampacity: 20,
      load,
    });
    expect(chart.slowest).toEqual([]);
    expect(damageBeforeOpening(chart)).toBeUndefined();
  });
});
