import { describe, expect, test } from 'vitest';
import { applyCommand } from '../../evaluation/index.ts';
import { newestOf, refOf } from '../../catalogue/index.ts';
import { withValueAt } from '../../model/index.ts';
import { namedCases } from '../running/cases.ts';
import { deliverable } from '../running/deliverable.ts';
import { lantern, sampleCatalogue } from '../../exchange/index.ts';
import { createEvaluator, limitLadder } from '../../evaluation/index.ts';
import { evaluated } from '../../tests/evaluated.ts';

const { candidates } = evaluated(lantern);
const injectors = candidates.injectors()['primary']!;
const pumps = candidates.pumps()['pump']!;

describe('injector comparison', () => {
  test('judges every injector of the catalogue once', () => {
    expect(injectors.map((c) => c.item.id).sort()).toEqual(
      newestOf(sampleCatalogue, 'injector')
        .map((i) => i.id)
        .sort(),
    );
  });

  test('ranks what fits first, the smallest of those first', () => {
    const order = { fits: 0, oversized: 1, tight: 1, 'does not fit': 2 };
    const ranks = injectors.map((c) => order[c.verdict]);
    expect([...ranks].sort((a, b) => a - b)).toEqual(ranks);
    const fitting = injectors.filter((c) => c.verdict === 'fits');
    const flows = fitting.map((c) => c.item.ratedFlow);
    expect([...flows].sort((a, b) => a - b)).toEqual(flows);
  });

  test('gives a reason each, with its numbers', () => {
    for (const candidate of injectors) {
      expect(candidate.reasons.length).toBeGreaterThan(0);
      for (const reason of candidate.reasons) {
        for (const [, name] of reason.text.matchAll(/\{(\w+)\}/g)) {
          expect(reason.numbers[name!]).toBeDefined();
        }
      }
    }
  });

  test('refuses low impedance on saturated switches, takes it on peak-and-hold', () => {
    const verdict = (list: typeof injectors) => list.find((c) => c.item.id === 'I650L')!.verdict;
    expect(verdict(injectors)).toBe('does not fit');
    const weir = withValueAt(lantern, 'power.ecu', { id: 'WEIR60', revision: 1 });
    expect(verdict(evaluated(weir).candidates.injectors()['primary']!)).toBe('fits');
  });

  test('a larger injector has less duty and a shorter idle pulse', () => {
    const by = (id: string) => injectors.find((c) => c.item.id === id)!;
    expect(by('I850').worstDuty).toBeLessThan(by('I650').worstDuty);
    expect(by('I850').idlePulse - by('I850').item.deadTimes[4]![1]!).toBeLessThan(
      by('I650').idlePulse - by('I650').item.deadTimes[4]![1]!,
    );
    expect(by('I850').idleDuty).toBeLessThan(by('I850').peakDuty);
  });

  test('assumed and solved duty agree while the rail is held', () => {
    const solved = evaluated(lantern).results.find((r) => r.key === 'injector.peak.duty')!;
    const candidate = injectors.find((c) => c.item.id === 'I650')!;
    expect(Math.abs(solved.value - candidate.peakDuty)).toBeLessThan(0.02);
  });
});

describe('pump comparison', () => {
  test('much more than is needed is told as oversized, less than wished as tight', () => {
    const wish = lantern.limits.pumpMargin.value;
    const able = pumps.filter((c) => c.item.mounting === 'external' && (c.margin ?? -1) >= 0);
    expect(able.length).toBeGreaterThan(1);
    for (const { margin, verdict } of able) {
      expect(verdict).toBe(margin! > 1 ? 'oversized' : margin! < wish ? 'tight' : 'fits');
    }
    expect(able.some((c) => c.verdict === 'oversized')).toBe(true);
  });

  test('is the same answer as fitting the pump and solving', () => {
    const present = createEvaluator().check(lantern, sampleCatalogue).design.circuits[0]!;
    for (const candidate of pumps) {
      const fitted = applyCommand(lantern, {
        name: 'choose-part',
        circuitId: 'main',
        elementId: 'pump',
        item: refOf(candidate.item),
      }).document;
      const { design } = createEvaluator().check(fitted, sampleCatalogue);
      // Another pump may get another fuse and wire: it is compared on the wire that is there.
      const { seriesResistances } = present;
      const circuit = { ...design.circuits[0]!, seriesResistances };
      const peak = namedCases(design.document, design.demand).peakPower;
      const own = deliverable(design, circuit, peak);
      // Both are searched for; each ends within a ten-thousandth of the flow.
      const available = candidate.available ?? 0;
      expect(Math.abs((own?.available ?? 0) - available), candidate.item.id).toBeLessThanOrEqual(
        1e-4 * available,
      );
    }
    expect(pumps.length).toBeGreaterThan(5);
  });

  test('a lift pump cannot hold rail pressure', () => {
    const lift = pumps.find((c) => c.item.id === 'P120')!;
    expect(lift.margin).toBeLessThan(-0.9);
    expect(lift.verdict).toBe('does not fit');
  });

  test('mounting decides as well as flow', () => {
    expect(pumps.find((c) => c.item.id === 'P340')!.verdict).toBe('does not fit');
    const inTank = withValueAt(lantern, 'fuelCircuits.main.elements.pump.mounting', 'in-tank');
    const list = evaluated(inTank).candidates.pumps()['pump']!;
    expect(list.find((c) => c.item.id === 'P340')!.verdict).toBe('fits');
    expect(list.find((c) => c.item.id === 'P340X')!.verdict).toBe('does not fit');
  });

  test('a longer thin feed wire costs flow', () => {
    const long = applyCommand(lantern, {
      name: 'set-wire-length',
      wireId: 'pump~+',
      wireName: 'The wire',
      length: { typed: { value: 12, unit: 'm' }, measured: null },
    }).document;
    const thin = applyCommand(long, {
      name: 'choose-wire',
      wireId: 'pump~+',
      wireName: 'The wire',
      size: { id: 'W1', revision: 1 },
    }).document;
    const flow = (d: typeof lantern) =>
      evaluated(d).results.find((r) => r.key === 'pump.peak.flowAvailable')!.value;
    expect(flow(thin)).toBeLessThan(0.9 * flow(lantern));
  });
});

describe('what a candidate supports', () => {
  const evaluator = createEvaluator();
  const ladder = limitLadder(evaluator.check(lantern, sampleCatalogue));
  const rung = (check: string): number => ladder.rungs.find((r) => r.check === check)!.power!;

  test('the pump in the build supports what the ladder says', () => {
    const own = pumps.find((c) => c.item.id === 'P340X')!;
    expect(own.supportsPower! / rung('pump-flow')).toBeCloseTo(1, 2);
  });

  test('the injector in the build supports what the ladder says, but for the regulator’s slope', () => {
    const own = injectors.find((c) => c.item.id === 'I650')!;
    expect(Math.abs(own.supportsPower! / rung('injector-duty') - 1)).toBeLessThan(0.02);
  });

  test('more flow supports more power; what fits supports the target', () => {
    const driven = injectors.filter((c) => c.item.driver === 'saturated');
    const bySize = [...driven].sort((a, b) => a.item.ratedFlow - b.item.ratedFlow);
    const powers = bySize.map((c) => c.supportsPower ?? Infinity);
    expect([...powers].sort((a, b) => a - b)).toEqual(powers);
    for (const candidate of [...injectors, ...pumps]) {
      if (candidate.verdict !== 'fits') continue;
      expect(candidate.supportsPower ?? Infinity).toBeGreaterThanOrEqual(lantern.brief.power.value);
    }
  });

  test('a lift pump supports nothing against injection pressure', () => {
    expect(pumps.find((c) => c.item.id === 'P120')!.supportsPower).toBe(0);
  });
});
