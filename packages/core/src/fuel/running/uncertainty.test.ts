import { describe, expect, test } from 'vitest';
import { type BuildDocument, withValueAt } from '../../model/index.ts';
import { lantern, sampleCatalogue } from '../../exchange/index.ts';
import { rankCorrelation, seededNormal } from '../../numerics/index.ts';
import { createEvaluator } from '../../evaluation/index.ts';
import { type Uncertainty, startUncertainty } from './uncertainty.ts';

const run = (build: BuildDocument, draws: number, seed = 1): Uncertainty => {
  const started = startUncertainty(createEvaluator().check(build, sampleCatalogue), {
    draws,
    seed,
  });
  started.step(draws);
  return started.outcome()!;
};
const at = (kW: number): BuildDocument =>
  [
    ['brief.power', { value: kW * 1e3, unit: 'kW' }],
    ['demand', { school: 'power', reason: 'to ask for more than the air gives' }],
    ['injectorRows.primary.item', { id: 'I2200', revision: 1 }],
  ].reduce<BuildDocument>((doc, [path, value]) => withValueAt(doc, path as string, value), lantern);

describe('seeded normal numbers', () => {
  const numbers = (seed: number, count: number): number[] => {
    const normal = seededNormal(seed);
    return Array.from({ length: count }, normal);
  };
  test('are the same for the same seed and others for another', () => {
    expect(numbers(7, 50)).toEqual(numbers(7, 50));
    expect(numbers(7, 50)).not.toEqual(numbers(8, 50));
  });
  test('have the moments and tails of the normal distribution', () => {
    const values = numbers(3, 100_000);
    const mean = values.reduce((a, b) => a + b, 0) / values.length;
    const variance = values.reduce((a, b) => a + (b - mean) ** 2, 0) / values.length;
    expect(Math.abs(mean)).toBeLessThan(0.012);
    expect(Math.abs(variance - 1)).toBeLessThan(0.02);
    const beyond = values.filter((v) => Math.abs(v) > 1.959964).length / values.length;
    expect(Math.abs(beyond - 0.05)).toBeLessThan(0.004);
  });
});

describe('rank correlation', () => {
  test.each([
    [[1, 2, 3, 4], [10, 20, 30, 40], 1],
    [[1, 2, 3, 4], [9, 7, 1, 0], -1],
    [[1, 2, 3, 4], [1, 8, 27, 640], 1],
    [[1, 2, 3, 4], [5, 5, 5, 5], 0],
    // Σd² = 4 for these ranks: 1 − 6·4/(5·24)
    [[1, 2, 3, 4, 5], [2, 1, 4, 3, 5], 0.8],
    [[1, 2, 3], [Infinity, 1, 0], -1],
  ])('of %j and %j is %d', (a, b, correlation) => {
    expect(rankCorrelation(a, b)).toBeCloseTo(correlation, 12);
  });
});

describe('the uncertainty run', () => {
  test('gives the same for the same seed, in one go or in parts', () => {
    const whole = run(lantern, 120);
    const parts = startUncertainty(createEvaluator().check(lantern, sampleCatalogue), {
      draws: 120,
      seed: 1,
    });
    expect(parts.outcome()).toBeUndefined();
    while (parts.done < parts.total) parts.step(37);
    expect(parts.outcome()).toEqual(whole);
    expect(parts.done).toBe(120);
    expect(run(lantern, 120, 2)).not.toEqual(whole);
  });

  test('holds on the demo, hardly ever far beyond its pump, and less the more is asked', () => {
    expect(run(lantern, 300).holds).toBe(1);
    const shares = [200, 400, 460, 560].map((kW) => run(at(kW), 200).holds);
    expect([...shares].sort((a, b) => b - a)).toEqual(shares);
    expect(shares.at(-1)).toBeLessThan(0.1);
  });

  test('counts injectors that cannot pass the fuel as not holding', () => {
    const small = withValueAt(at(300), 'injectorRows.primary.item', { id: 'I440', revision: 1 });
    expect(run(small, 60).holds).toBe(0);
  });

  test('more demand is worse, a stronger pump and more voltage are better', () => {
    const { causes } = run(at(440), 400);
    const of = (id: string): number => causes.find((c) => c.id === id)!.correlation;
    expect(of('demand')).toBeGreaterThan(0.2);
    expect(of('pump')).toBeLessThan(-0.2);
    expect(of('voltage')).toBeLessThan(-0.1);
    const sizes = causes.map((c) => Math.abs(c.correlation));
    expect([...sizes].sort((a, b) => b - a)).toEqual(sizes);
  });

  test('gives quantiles in order', () => {
    const { sag } = run(at(440), 200);
    expect(sag.low).toBeLessThanOrEqual(sag.middle);
    expect(sag.middle).toBeLessThanOrEqual(sag.high);
  });
});
