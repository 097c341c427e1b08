import { describe, expect, test } from 'vitest';
import { applyCommand } from './commands/applyCommand.ts';
import { readBuild, withValueAt } from '../model/index.ts';
import { lantern, sampleCatalogue } from '../exchange/index.ts';
import { createEvaluator } from './evaluate.ts';
import {
  type SolvedCircuit,
  GRAVITY,
  assumedDifference,
  caseNames,
  deliverable,
  fluidAt,
  fuelFigure,
  injectionOf,
  mapPoint,
  namedCases,
  pathBetween,
  rowDifference,
  runOf,
  solvePoint,
  sweepMap,
} from '../fuel/index.ts';
import { evaluated } from '../tests/evaluated.ts';

const checked = createEvaluator().check(lantern, sampleCatalogue);
const { design } = checked;
const circuit = design.circuits[0]!;
const fluid = checked.fluids[0]!;
const solution = (name: (typeof caseNames)[number]): SolvedCircuit => {
  const solved = fluid.cases[name].solution;
  if (solved.state === 'failed') throw new Error(solved.reason);
  return solved;
};

describe.each(caseNames)('case %s', (name) => {
  const solved = solution(name);

  test('conserves mass at every node', () => {
    const { nodes, elements } = circuit.circuit;
    const tank = elements.find((e) => e.kind === 'tank')!;
    for (const node of nodes) {
      if (tank.kind === 'tank' && [tank.outlet, tank.returnNode].includes(node.id)) continue;
      let sum = 0;
      for (const element of elements) {
        if (element.kind === 'tank' || element.kind === 'surge-tank') continue;
        const flow = solved.elements[element.id]!.massFlow;
        if (element.kind === 'injectors') {
          if (element.node === node.id) sum -= flow;
          continue;
        }
        if (element.from === node.id) sum -= flow;
        if (element.to === node.id) sum += flow;
      }
      expect(Math.abs(sum), node.id).toBeLessThan(1e-9);
    }
  });

  test('the pump’s rise, the losses and the height add up around the run', () => {
    const run = runOf(circuit.circuit);
    const losses = run.reduce((sum, e) => sum + solved.elements[e.id]!.pressureDrop, 0);
    const rise = circuit.heights[run.at(-1)!.to]! - circuit.heights[run[0]!.from]!;
    const difference = solved.pressures[run[0]!.from]! - solved.pressures[run.at(-1)!.to]!;
    const around =
      losses + fluidAt(circuit, fluid.cases[name].point).density * GRAVITY * rise - difference;
    expect(Math.abs(around)).toBeLessThan(1);
  });

  test('the rail figure of the working is the solved pressure', () => {
    const rail = circuit.circuit.elements.find((e) => e.kind === 'injectors')!;
    const figure = checked.results.at(fuelFigure('gauge.pressure', { at: name }));
    expect(Math.abs(figure.value - solved.elements[rail.id]!.inletPressure)).toBeLessThan(1e-3);
  });

  test('the pump stands on its curve at the voltage its wiring leaves', () => {
    const pump = Object.values(solved.pumps)[0]!;
    const { systemVoltage } = fluid.cases[name].point;
    const resistance = circuit.seriesResistances[pump.elementId]!;
    expect(pump.voltage).toBeCloseTo(systemVoltage - pump.current * resistance, 9);
    expect(
      Math.abs(pump.pressureRise + solved.elements[pump.elementId]!.pressureDrop),
    ).toBeLessThan(1);
  });
});

describe('the map', () => {
  const swept = sweepMap(design, circuit);

  test('solved from neighbours it is the same as solved alone', () => {
    for (const [s, l] of [
      [0, 0],
      [5, 9],
      [12, 4],
      [20, 9],
      [23, 0],
    ] as const) {
      const point = mapPoint(design, s, l);
      const alone = solvePoint(design, circuit, point);
      if (alone.state === 'failed') throw new Error(alone.reason);
      const difference = rowDifference(circuit, circuit.rows[0]!, alone);
      const row = swept.find((p) => p.speedIndex === s && p.loadIndex === l)!.rows![0]!;
      expect(Math.abs(row.difference - difference)).toBeLessThan(1e-3);
      const { duty } = injectionOf(design, circuit, circuit.rows[0]!, point, difference);
      expect(row.duty).toBeCloseTo(duty, 9);
    }
  });

  test('is solved at every point', () => {
    expect(swept).toHaveLength(24 * 10);
    expect(swept.filter((p) => p.rows === undefined)).toEqual([]);
  });

  test('its worst duty is at least that of the peak case', () => {
    const peak = checked.results.at(fuelFigure('injector.duty', { at: 'peak' })).value;
    expect(fluid.worstDuty!.duty).toBeGreaterThanOrEqual(peak - 1e-9);
  });

  test('Δp stays near the assumed one while the regulator holds', () => {
    for (const { point, rows } of swept) {
      const assumed = assumedDifference(design, circuit, point);
      expect(Math.abs(rows![0]!.difference / assumed - 1)).toBeLessThan(0.05);
    }
  });
});

describe('named cases', () => {
  const cases = namedCases(readBuild(lantern), design.demand);

  test('fix their voltage', () => {
    expect(cases.hotIdle.systemVoltage).toBe(13.8);
    expect(cases.peakPower.systemVoltage).toBe(12.2);
    expect(cases.crankingCold.systemVoltage).toBe(10.5);
  });

  test('only peak power carries the design factor', () => {
    expect(cases.peakPower.massFlow / design.demand.peak.massFlow).toBeCloseTo(1.1, 9);
    expect(cases.peakTorque.massFlow).toBeLessThan(cases.peakPower.massFlow);
  });

  test('the engine draws nothing standing and on overrun', () => {
    expect(cases.keyOnPrime.massFlow).toBe(0);
    expect(cases.overrun.massFlow).toBe(0);
    expect(solution('overrun').elements['injectors']!.massFlow).toBeCloseTo(0, 12);
  });

  test('idle and overrun run under vacuum, full load under boost', () => {
    expect(cases.hotIdle.manifoldGauge).toBeLessThan(0);
    expect(cases.overrun.manifoldGauge).toBeLessThan(cases.hotIdle.manifoldGauge);
    expect(cases.peakTorque.manifoldGauge).toBeCloseTo(85e3, 3);
  });

  test('cranking takes more than idle per revolution', () => {
    const perRevolution = (c: typeof cases.hotIdle) => c.massFlow / c.speed;
    expect(perRevolution(cases.crankingCold)).toBeGreaterThan(perRevolution(cases.hotIdle));
  });
});

describe('what the pump can deliver', () => {
  test('does not depend on what the engine takes, but for the slope of the regulator', () => {
    const peak = fluid.cases.peakPower.point;
    const at = (massFlow: number) => deliverable(design, circuit, { ...peak, massFlow })!;
    const little = at(0.01);
    const much = at(0.06);
    expect(much.margin).toBeLessThan(0);
    expect(little.margin).toBeGreaterThan(1);
    expect(Math.abs(much.available / little.available - 1)).toBeLessThan(0.04);
  });

  test('is the flow that the free solve has while it bypasses', () => {
    const peak = fluid.cases.peakPower.point;
    const free = solution('peakPower').pumps['pump']!.flow;
    expect(deliverable(design, circuit, peak)!.available).toBeCloseTo(free, 10);
  });
});

describe('paths through a circuit', () => {
  test('follow the direction of the elements', () => {
    expect(pathBetween(circuit.circuit, 'tank-out', 'pump-in').map((e) => e.id)).toEqual([
      'tank-bung',
      'suction',
      'coarse',
      'pump-inlet',
    ]);
    expect(pathBetween(circuit.circuit, 'rail-in', 'tank-out')).toEqual([]);
    expect(runOf(circuit.circuit).at(-1)!.id).toBe('return');
  });
});

describe('what an edit does', () => {
  const value = (document: typeof lantern, key: string): number =>
    evaluated(document).results.find((r) => r.key === key)!.value;
  const change = (path: string, to: unknown) => withValueAt(lantern, path, to);

  test.each([
    [
      'a higher set pressure leaves less flow',
      'fuelCircuits.main.elements.regulator.setPressure',
      { value: 380e3, unit: 'kPa' },
      'pump.peak.flowAvailable',
      -1,
    ],
    [
      'more boost needs more fuel by air',
      'brief.boost',
      { value: 110e3, unit: 'bar' },
      'demand.byAir.peak.massFlow',
      1,
    ],
    [
      'a hotter day brings fuel nearer to boiling',
      'brief.ambientHot',
      { value: 318, unit: '°C' },
      'suction.peak.pump.inletHead',
      -1,
    ],
    [
      'higher ground brings fuel nearer to boiling',
      'brief.altitude',
      { value: 2200, unit: 'm' },
      'suction.peak.pump.inletHead',
      -1,
    ],
    [
      'more fuel above the outlet helps the inlet',
      'fuelCircuits.main.elements.tank.fuelLevel',
      { value: 0.4, unit: 'mm' },
      'suction.peak.pump.inletHead',
      1,
    ],
    [
      'a more worn pump has less margin',
      'fuelCircuits.main.elements.pump.wear',
      { value: 0.3, unit: '%' },
      'pump.peak.margin',
      -1,
    ],
    [
      'a loaded filter costs flow',
      'fuelCircuits.main.elements.fine.state',
      'loaded',
      'pump.peak.flowAvailable',
      -1,
    ],
    [
      'a longer feed loses more',
      'fuelCircuits.main.elements.feed.length',
      { typed: { value: 9, unit: 'm' }, measured: null },
      'circuit.feed.pressureDrop',
      1,
    ],
    [
      'a measured length beats a typed one',
      'fuelCircuits.main.elements.feed.length',
      { typed: { value: 9, unit: 'm' }, measured: { value: 2, unit: 'm' } },
      'circuit.feed.pressureDrop',
      -1,
    ],
    [
      'more injectors have less duty each',
      'injectorRows.primary.count',
      8,
      'injector.peak.duty',
      -1,
    ],
    [
      'a lower voltage costs pump flow',
      'limits.voltageLow',
      { value: 11.4, unit: 'V' },
      'pump.peak.flowAvailable',
      -1,
    ],
    [
      'more loaded wires together run hotter',
      'devices.pump.loadedTogether',
      6,
      'wire.pump~+.ampacity',
      -1,
    ],
  ] as const)('%s', (_words, path, to, key, sign) => {
    const before = value(lantern, key);
    expect(Math.sign(value(change(path, to), key) - before)).toBe(sign);
  });

  test('a larger pump fuse asks for a wire that carries it', () => {
    const larger = applyCommand(lantern, {
      name: 'choose-fuse',
      deviceId: 'pump-fuse',
      item: { id: 'FB40', revision: 1 },
    }).document;
    for (const wire of evaluated(larger).feeds[0]!.pumpGroup.wires) {
      expect(wire.ampacity).toBeGreaterThanOrEqual(40);
    }
  });

  test('AWG and metric give sizes of the system asked for', () => {
    const awg = evaluated(change('power.wireSystem', 'awg')).feeds[0]!;
    expect(awg.pumpGroup.wires.every((w) => w.size.system === 'awg')).toBe(true);
    expect(awg.pumpGroup.drop).toBeLessThanOrEqual(0.25);
  });

  test('methanol throughout is evaluated too', () => {
    const methanol = change('fuels.pump-fuel', { kind: 'methanol', order: 1000, name: 'Methanol' });
    const { results, findings } = evaluated(methanol);
    expect(results.find((r) => r.key === 'fuel.stoichAirFuelRatio')!.value).toBe(6.46);
    expect(findings.some((f) => f.id.startsWith('hose.fuel'))).toBe(true);
  });

  test('two rows share the air; their fuel adds up', () => {
    const row = lantern.injectorRows['primary']!;
    const two = {
      ...lantern,
      injectorRows: {
        primary: { ...row, airShare: { value: 0.6, unit: '%' } },
        second: {
          ...row,
          order: 2000,
          name: 'Second row',
          airShare: { value: 0.4, unit: '%' },
        },
      },
    };
    const { design: both } = createEvaluator().check(two, sampleCatalogue);
    const shares = both.circuits[0]!.rows.map((r) => r.massShare);
    expect(shares[0]).toBeCloseTo(0.6, 12);
    expect(shares[0]! + shares[1]!).toBeCloseTo(1, 12);
  });
});
