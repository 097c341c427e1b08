import { describe, expect, test } from 'vitest';
import { lantern } from '../../exchange/index.ts';
import { type BuildDocument, withValueAt } from '../../model/index.ts';
import { computeFormula } from '../../results/index.ts';
import { abovePickup, belowPickup, returnApart, ventFlow, ventLoss } from './formulas.ts';
import { evaluated } from '../../tests/evaluated.ts';

const box = [0, 0, 0, 0.7, 0.5, 0.3];
const figure = (build: BuildDocument, key: string): number | undefined =>
  evaluated(build).results.find((r) => r.key === key)?.value;

describe('the room of a tank', () => {
  test('below and above the pickup make up its box', () => {
    const below = computeFormula(belowPickup, { box, height: 0.02 });
    const above = computeFormula(abovePickup, { box, height: 0.02 });
    expect(below).toBeCloseTo(0.007, 12);
    expect(below + above).toBeCloseTo(0.105, 12);
  });

  test('a pickup at the top leaves all of it', () => {
    expect(computeFormula(belowPickup, { box, height: 1 })).toBeCloseTo(0.105, 12);
    expect(computeFormula(abovePickup, { box, height: 1 })).toBe(0);
  });

  test('the return is as far from the pickup as their places are', () => {
    expect(computeFormula(returnApart, { outlet: [0, 0, 0], back: [0.3, 0, 0.4] })).toBeCloseTo(
      0.5,
      12,
    );
  });
});

describe('a vent', () => {
  test('passes what the engine takes, and what warming fuel grows by', () => {
    // 78 L growing by 1.1 per mille a kelvin at 20 K/h: 0.48 mL/s.
    expect(computeFormula(ventFlow, { outflow: 20e-6, volume: 0.078 })).toBeCloseTo(
      20e-6 + 4.767e-7,
      9,
    );
  });

  test('laminar air loses by the first power of the flow but for its ends', () => {
    const at = (flow: number): number => computeFormula(ventLoss, { flow, bore: 7e-3, length: 1 });
    const v = 20e-6 / ((Math.PI / 4) * 49e-6);
    const re = (1.15 * v * 7e-3) / 1.9e-5;
    expect(re).toBeLessThan(2300);
    expect(at(20e-6)).toBeCloseTo((64 / re / 7e-3 + 4) * 1.15 * 0.5 * v * v, 9);
  });

  test('half the bore loses at least sixteen times as much', () => {
    const at = (bore: number): number =>
      computeFormula(ventLoss, { flow: 30e-6, bore, length: 0.5 });
    expect(at(3.5e-3) / at(7e-3)).toBeGreaterThan(15.9);
  });

  test('no flow loses nothing', () => {
    expect(computeFormula(ventLoss, { flow: 0, bore: 7e-3, length: 1 })).toBe(0);
  });

  test('the widest of several is taken; without one nothing is told', () => {
    const narrow = {
      ...lantern.otherLines['vent']!,
      item: { id: 'HLP-4', revision: 1 },
      name: 'Second vent',
    };
    const two: BuildDocument = {
      ...lantern,
      otherLines: { ...lantern.otherLines, second: narrow },
    };
    expect(figure(two, 'tank.ventLoss')).toBe(figure(lantern, 'tank.ventLoss'));
    const none = withValueAt(lantern, 'otherLines.vent.use', 'breather');
    expect(figure(none, 'tank.ventLoss')).toBeUndefined();
  });

  test('a longer way costs more', () => {
    const longer = withValueAt(lantern, 'routes.vent.points.p1.z', { value: 1.4, unit: 'mm' });
    expect(figure(longer, 'tank.ventLoss')).toBeGreaterThan(figure(lantern, 'tank.ventLoss')!);
  });
});
