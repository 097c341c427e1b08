import { describe, expect, test } from 'vitest';
import { type BuildDocument, withValueAt } from '../model/index.ts';
import { demoBuilds, lantern, sampleCatalogue } from '../exchange/index.ts';
import { caseNames, railsOf } from '../fuel/index.ts';
import { createEvaluator } from './evaluate.ts';
import { figuresOf } from './figures/documentedFigures.ts';
import { limitLadder } from './ladder.ts';
import { evaluated } from '../tests/evaluated.ts';

const valuesOf = (build: BuildDocument): Map<string, number> =>
  new Map(evaluated(build).results.map((r) => [r.key, r.value]));
const e85 = withValueAt(lantern, 'fuels.pump-fuel.ethanol', { value: 0.85, unit: '%' });

describe.each(demoBuilds.map((d) => [d.id, d.document] as const))('cases of %s', (_id, build) => {
  const evaluation = evaluated(build);
  const values = new Map(evaluation.results.map((r) => [r.key, r.value]));
  const fluid = evaluation.fluids[0]!;

  test.each(caseNames)('%s: figures agree with the solved network', (name) => {
    const { point, solution } = fluid.cases[name];
    if (solution.state === 'failed') throw new Error(solution.reason);
    const injectors = solution.elements[railsOf(fluid.design.circuit)[0]!.id]!;
    const pump = solution.pumps['pump']!;
    const at = (rest: string): number => values.get(`case.${name}.${rest}`)!;
    expect(at('rail.1.pressure')).toBeCloseTo(injectors.inletPressure, 3);
    expect(at('injector.primary.deltaP')).toBeCloseTo(injectors.pressureDrop, 3);
    expect(at('pump.1.flow')).toBeCloseTo(pump.flow, 12);
    expect(at('pump.1.voltage')).toBeCloseTo(pump.voltage, 6);
    expect(at('pump.1.current')).toBeCloseTo(pump.current, 6);
    expect(at('vapour.margin')).toBeLessThanOrEqual(at('suction.npshMargin') + 10e3 + 1e-6);
    const injects = point.speed > 0 && point.massFlow > 0;
    expect(values.has(`case.${name}.injector.primary.duty`)).toBe(injects);
    expect(values.has(`case.${name}.pump.1.margin`)).toBe(point.massFlow > 0);
  });

  test('peak power says the same under its older keys', () => {
    const row = Object.keys(build.injectorRows).length > 1 ? '.primary' : '';
    expect(values.get('case.peakPower.rail.1.pressure')).toBe(
      values.get(`rail${row}.peak.pressure`),
    );
    expect(values.get('case.peakPower.injector.primary.duty')).toBeCloseTo(
      values.get(`injector${row}.peak.duty`)!,
      12,
    );
    expect(values.get('case.peakPower.pump.1.margin')).toBeCloseTo(
      values.get('pump.peak.margin')!,
      12,
    );
  });

  test('loaded filters never raise the flow that is available, nor the rail', () => {
    const { peakPower, filtersLoaded } = fluid.cases;
    if (peakPower.solution.state === 'failed' || filtersLoaded.solution.state === 'failed') {
      throw new Error('not solved');
    }
    const margin = (name: string): number => values.get(`case.${name}.pump.1.margin`)!;
    expect(margin('filtersLoaded')).toBeLessThan(margin('peakPower'));
    const rail = railsOf(fluid.design.circuit)[0]!.id;
    expect(filtersLoaded.solution.elements[rail]!.inletPressure).toBeLessThanOrEqual(
      peakPower.solution.elements[rail]!.inletPressure + 1,
    );
  });

  test('low voltage and tip-in ask more of the pump than peak torque', () => {
    const margin = (name: string): number => values.get(`case.${name}.pump.1.margin`)!;
    expect(margin('lowVoltage')).toBeLessThan(margin('peakTorque'));
    expect(margin('tipIn')).toBeLessThan(margin('peakTorque'));
  });
});

describe('figures of the ladder', () => {
  test('are numbered from the first to fail, and rise', () => {
    const evaluator = createEvaluator();
    const evaluation = evaluator.evaluate(e85, sampleCatalogue);
    const ladder = limitLadder(evaluator.check(e85, sampleCatalogue));
    const figures = figuresOf(evaluation, ladder);
    expect(figures['ladder.1.check']).toEqual(figures['ladder.first.check']);
    expect(figures['ladder.1.power']!.value).toBe(figures['ladder.first.power']!.value);
    const failing = ladder.rungs.filter((r) => r.power !== null);
    failing.forEach((rung, i) => {
      expect(figures[`ladder.${i + 1}.check`]!.value).toBe(rung.check);
      if (i > 0) {
        expect(figures[`ladder.${i + 1}.power`]!.value as number).toBeGreaterThanOrEqual(
          figures[`ladder.${i}.power`]!.value as number,
        );
      }
    });
    expect(figures[`ladder.${failing.length + 1}.check`]).toBeUndefined();
  });
});

describe('the way to the regulator', () => {
  const idsOf = (build: BuildDocument): string[] => evaluated(build).findings.map((f) => f.id);
  const high = withValueAt(lantern, 'placements.coarse-filter.z', { value: 0.62, unit: 'mm' });
  const hot = (kelvin: number): BuildDocument =>
    withValueAt(
      withValueAt(high, 'brief.fuelTemperatureHot', { value: kelvin, unit: '°C' }),
      'fuelCircuits.main.elements.tank.heatLoss',
      { value: 500, unit: 'W/K' },
    );

  test('warns where the coarse filter lies higher than the pump, stops when it boils there', () => {
    const warm = hot(319.4);
    const finding = evaluated(warm).findings.find((f) => f.id === 'vapour.run:main')!;
    expect(finding.severity).toBe('warn');
    expect(finding.where).toEqual({ stage: 'circuit', circuit: 'main', element: 'coarse' });
    expect(finding.measured!.value).toBeCloseTo(
      Math.min(
        ...['hotIdle', 'cruise', 'peakTorque', 'peakPower'].map((name) =>
          valuesOf(warm).get(`case.${name}.vapour.margin`)!,
        ),
      ),
      6,
    );
    const boiling = evaluated(hot(324)).findings.find((f) => f.id === 'vapour.run:main')!;
    expect(boiling.severity).toBe('stop');
    expect(idsOf(hot(300))).not.toContain('vapour.run:main');
  });

  test('fuel hotter than its surface allows is noted', () => {
    expect(idsOf(hot(330))).toContain('vapour.return:main');
    expect(idsOf(lantern)).not.toContain('vapour.return:main');
  });
});
