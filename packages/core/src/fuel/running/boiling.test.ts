import { describe, expect, test } from 'vitest';
import { applyCommand, createEvaluator, evaluate } from '../../evaluation/index.ts';
import { kittiwake, lantern, sampleCatalogue } from '../../exchange/index.ts';
import { type BuildDocument, withValueAt } from '../../model/index.ts';

const TANK = 'fuelCircuits.main.elements.tank';
const losing = (perKelvin: number, build: BuildDocument = lantern): BuildDocument =>
  withValueAt(build, `${TANK}.heatLoss`, { value: perKelvin, unit: 'W/K' });
const holding = (litres: number, build: BuildDocument): BuildDocument =>
  withValueAt(build, `${TANK}.usableVolume`, { value: litres / 1e3, unit: 'L' });
const hottest = (celsius: number, build: BuildDocument): BuildDocument =>
  withValueAt(build, 'brief.fuelTemperatureHot', { value: celsius + 273.15, unit: '°C' });

const figuresOf = (build: BuildDocument): ReadonlyMap<string, number> =>
  new Map(evaluate(build, sampleCatalogue).results.map((r) => [r.key, r.value]));
const figure = (build: BuildDocument, key: string): number => figuresOf(build).get(key)!;

/** W that go into the tank of a build at cruise, with the 150 W that come back from the rail. */
const heatInto = (build: BuildDocument): number => {
  const { solution } = evaluate(build, sampleCatalogue).fluids[0]!.cases.cruise;
  if (solution.state === 'failed') throw new Error(solution.reason);
  return 150 + Object.values(solution.pumps).reduce((sum, p) => sum + p.voltage * p.current, 0);
};

describe('a quarter tank after an hour of cruising', () => {
  test('that loses no heat takes up all of it', () => {
    const build = losing(0);
    const { density } = evaluate(build, sampleCatalogue).fluids[0]!.design.fuel.hot;
    const ethanolByMass = 79.4 / (79.4 + 0.9 * 745);
    const capacity = 0.25 * 0.078 * density * (2200 + 240 * ethanolByMass);
    expect(figure(build, 'tank.heatingPerHour')).toBeCloseTo(
      (3600 * heatInto(build)) / capacity,
      6,
    );
  });

  test('that is nearly empty stands at heat over loss', () => {
    const build = holding(0.5, losing(25));
    expect(figure(build, 'tank.heatingPerHour')).toBeCloseTo(heatInto(build) / 25, 6);
  });

  test('is cooler the more heat it loses and the more it holds', () => {
    const rises = [0, 5, 10, 20, 40, 80].map((loss) => figure(losing(loss), 'tank.heatingPerHour'));
    const volumes = [10, 20, 40, 80].map((litres) =>
      figure(holding(litres, losing(10)), 'tank.heatingPerHour'),
    );
    for (const falling of [rises, volumes]) {
      expect(falling).toEqual([...falling].sort((a, b) => b - a));
      expect(new Set(falling).size).toBe(falling.length);
    }
  });
});

describe('boiling is judged', () => {
  test('with the warmed tank where that is hotter than the fuel of the brief', () => {
    const figures = figuresOf(losing(10));
    const warmed = figures.get('tank.vapourPressureAbsolute')!;
    const briefed = figures.get('fuel.vapourPressureAbsolute')!;
    expect(figures.get('tank.temperatureAfterHour')).toBeGreaterThan(
      figures.get('fuel.hottestTemperature')!,
    );
    // The same tank losing so much that the brief counts: only the vapour pressure is another.
    const cool = figuresOf(losing(500));
    for (const name of ['hotIdle', 'cruise', 'peakTorque', 'peakPower', 'lowVoltage']) {
      const key = `case.${name}.vapour.margin`;
      expect(cool.get(key)! - figures.get(key)!).toBeCloseTo(warmed - briefed, 6);
    }
    expect(
      cool.get('suction.peak.pump.inletHead')! - figures.get('suction.peak.pump.inletHead')!,
    ).toBeCloseTo(warmed - briefed, 6);
  });

  test('with the fuel of the brief where that is hotter', () => {
    const build = hottest(60, losing(10));
    expect(figuresOf(build).has('tank.vapourPressureAbsolute')).toBe(false);
    const fluid = evaluate(build, sampleCatalogue).fluids[0]!;
    expect(fluid.boiling.warmed).toBe(false);
    expect(fluid.boiling.temperature).toBeCloseTo(333.15, 9);
  });

  test('cold at cranking, whatever the tank does', () => {
    const key = 'case.crankingCold.vapour.margin';
    expect(figure(losing(0), key)).toBe(figure(losing(500), key));
  });

  test('by the vapour pressure that the fuel has at that temperature', () => {
    const tank = figuresOf(losing(10));
    const briefedAsHot = hottest(tank.get('tank.temperatureAfterHour')! - 273.15, losing(500));
    expect(figure(briefedAsHot, 'fuel.vapourPressureAbsolute')).toBeCloseTo(
      tank.get('tank.vapourPressureAbsolute')!,
      6,
    );
  });

  test('for each circuit with its own tank', () => {
    const cell = 'fuelCircuits.methanol.elements.methanol-tank.heatLoss';
    const build = withValueAt(kittiwake, cell, { value: 5, unit: 'W/K' });
    const before = figuresOf(kittiwake);
    const after = figuresOf(build);
    expect(after.get('tank.temperatureAfterHour')).toBe(before.get('tank.temperatureAfterHour'));
    expect(after.get('tank.methanol.temperatureAfterHour')).toBeGreaterThan(
      before.get('tank.methanol.temperatureAfterHour')!,
    );
  });
});

test('slowing the pump is offered where it keeps the fuel from boiling, and does', () => {
  const evaluator = createEvaluator();
  const { findings } = evaluator.evaluate(lantern, sampleCatalogue);
  const finding = findings.find((f) => f.id === 'suction.head:pump')!;
  expect(finding.because).toContain('Main fuel circuit');
  const { command } = finding.cures().find((c) => c.text.includes('% of its voltage'))!;
  const slowed = applyCommand(lantern, command!).document;
  const after = evaluator.evaluate(slowed, sampleCatalogue);
  expect(after.findings.map((f) => f.id)).not.toContain('suction.head:pump');
  expect(figure(slowed, 'tank.heatingPerHour')).toBeLessThan(
    figure(lantern, 'tank.heatingPerHour'),
  );
});

test('mounting the pump lower is offered as a place, and the least that does is taken', () => {
  const { findings } = evaluate(lantern, sampleCatalogue);
  const finding = findings.find((f) => f.id === 'suction.head:pump')!;
  const { command, text } = finding.cures().find((c) => c.text.includes('lower'))!;
  expect(text).toContain('mm above the ground');
  const ids = (build: BuildDocument): string[] =>
    evaluate(build, sampleCatalogue).findings.map((f) => f.id);
  const lowered = applyCommand(lantern, command!).document;
  expect(ids(lowered)).not.toContain('suction.head:pump');
  const z = lowered.placements['pump']!.z.value;
  expect(z).toBeLessThan(lantern.placements['pump']!.z.value);
  // It is found in steps of 10 mm with the wires as they are; where it stands they are a little longer.
  const higher = withValueAt(lantern, 'placements.pump.z', { value: z + 0.02, unit: 'mm' });
  expect(ids(higher)).toContain('suction.head:pump');
});
