import { describe, expect, test } from 'vitest';
import { kittiwake, lantern, sampleCatalogue } from '../../exchange/index.ts';
import { type BuildDocument, withValueAt } from '../../model/index.ts';
import { computeFormula } from '../../results/index.ts';
import { besideNeighbour, pushOff, railLift, sealGap, seatGap } from './formulas.ts';
import { evaluated } from '../../tests/evaluated.ts';

const mm = (value: number) => ({ value: value / 1e3, unit: 'mm' });
const figure = (build: BuildDocument, key: string): number | undefined =>
  evaluated(build).results.find((r) => r.key === key)?.value;
const found = (build: BuildDocument, rule: string) =>
  evaluated(build).findings.find((f) => f.rule === rule);
const seat = (field: string, value: unknown): BuildDocument =>
  withValueAt(lantern, `injectorRows.primary.seating.${field}`, value);

describe('forces on injectors', () => {
  test('300 kPa on a bore of 14 mm push with 46 N, four of them lift the rail with 185', () => {
    const each = computeFormula(pushOff, { pressure: 300e3, bore: 14e-3 });
    expect(each).toBeCloseTo(300e3 * Math.PI * 49e-6, 9);
    expect(each).toBeCloseTo(46.2, 1);
    expect(computeFormula(railLift, { each, count: 4 })).toBeCloseTo(184.7, 1);
  });

  test('follow the pressure of the rail at peak', () => {
    const rail = figure(lantern, 'rail.peak.pressure')!;
    expect(figure(lantern, 'injector.pushOff')).toBeCloseTo(rail * Math.PI * 49e-6, 9);
  });

  test('are told of every row of several', () => {
    for (const row of ['primary', 'secondary']) {
      expect(figure(kittiwake, `injector.${row}.railLift`)).toBeCloseTo(
        6 * figure(kittiwake, `injector.${row}.pushOff`)!,
        9,
      );
    }
  });
});

describe('seats', () => {
  test('differences are taken from what was measured, by sign', () => {
    expect(computeFormula(seatGap, { seatDistance: 50e-3, reach: 48e-3 })).toBeCloseTo(2e-3, 12);
    expect(computeFormula(sealGap, { bore: 11e-3, seal: 14e-3 })).toBeCloseTo(-3e-3, 12);
    expect(computeFormula(besideNeighbour, { bossSpacing: 60e-3, barrel: 26e-3 })).toBeCloseTo(
      34e-3,
      12,
    );
  });

  test('too far apart and too near are told apart', () => {
    expect(found(seat('seatDistance', mm(52)), 'injector.seats')?.title).toContain('too short');
    expect(found(seat('seatDistance', mm(44)), 'injector.seats')?.title).toContain('too long');
    expect(found(seat('seatDistance', mm(48.5)), 'injector.seats')).toBeUndefined();
  });

  test('a rail that only clips hold stops, bolts alone do', () => {
    expect(found(seat('retention', 'clips'), 'injector.retention')?.severity).toBe('stop');
    expect(found(seat('retention', 'none'), 'injector.retention')?.title).toContain('not retained');
    expect(found(seat('retention', 'bolted-rail'), 'injector.retention')).toBeUndefined();
  });

  test('the bore in the port is judged like that in the rail', () => {
    expect(found(seat('portBore', mm(11)), 'injector.seal')?.because).toContain('in the port');
  });

  test('an injector that says nothing of its seats is not judged', () => {
    const silent = {
      items: sampleCatalogue.items.map((item) =>
        item.category === 'injector' ? { ...item, reach: 0, topSeal: 0, bottomSeal: 0 } : item,
      ),
    };
    const { findings, results } = evaluated(seat('railBore', mm(9)), silent);
    expect(findings.filter((f) => f.rule.startsWith('injector.seal'))).toEqual([]);
    expect(results.some((r) => r.key.startsWith('injector.pushOff'))).toBe(false);
  });
});
