import { describe, expect, test } from 'vitest';
import { type BuildDocument, readBuild, withValueAt } from '../../model/index.ts';
import { lantern } from '../../exchange/index.ts';
import { MAP_LOADS, MAP_SPEEDS, airPoint, lambdaAtLoad, speedAxis } from './demandMap.ts';
import { curveAt, defaultCurves, defaultSpecificConsumption } from './engine.ts';
import { evaluated } from '../../tests/evaluated.ts';

const figures = (document: BuildDocument) =>
  new Map(evaluated(document).results.map((r) => [r.key, r.value]));
const set = (path: string, value: unknown, on: BuildDocument = lantern) =>
  withValueAt(on, path, value);

const { brief: lanternBrief } = readBuild(lantern);

describe('school A, from power', () => {
  test('is power times consumption times the fuel factor', () => {
    const f = figures(set('fuels.pump-fuel.ethanol', { value: 0, unit: '%' }));
    // 168 kW at 350 g/kWh
    expect(f.get('demand.byPower.peak.massFlow')).toBeCloseTo((168 * 0.35) / 3600, 9);
  });

  test('E85 takes about 1.43 times as much', () => {
    const e0 = figures(set('fuels.pump-fuel.ethanol', { value: 0, unit: '%' }));
    const e85 = figures(set('fuels.pump-fuel.ethanol', { value: 0.85, unit: '%' }));
    const ratio =
      e85.get('demand.byPower.peak.massFlow')! / e0.get('demand.byPower.peak.massFlow')!;
    expect(ratio).toBeCloseTo(1.43, 2);
  });

  test('methanol takes 2.18 times as much', () => {
    const methanol = { kind: 'methanol', order: 1000, name: 'Methanol' };
    expect(figures(set('fuels.pump-fuel', methanol)).get('fuel.consumptionFactor')).toBe(2.18);
  });

  test.each([
    ['natural', 'four-stroke', 290],
    ['supercharged', 'four-stroke', 345],
    ['turbo', 'four-stroke', 350],
    ['turbo', 'rotary', 402.5],
  ] as const)('%s %s starts from %d g/kWh', (aspiration, cycle, grams) => {
    expect(defaultSpecificConsumption(aspiration, cycle) * 3.6e9).toBeCloseTo(grams, 6);
  });
});

describe('school B, from air', () => {
  test('is the speed-density formula', () => {
    const f = figures(lantern);
    const ambient = 101325 * (1 - (0.0065 * 900) / 288.15) ** 5.255876;
    // Compressor of 70 % on a 38 °C day, cooler of 70 %.
    const rise = (311.15 * ((1 + 85e3 / ambient) ** 0.286 - 1)) / 0.7;
    const air = (0.91 * (ambient + 85e3) * 2.4e-3 * 0.5 * 90) / (287.05 * (311.15 + 0.3 * rise));
    expect(f.get('demand.byAir.atPower.airFlow')! / air).toBeCloseTo(1, 5);
    const stoich = f.get('fuel.stoichAirFuelRatio')!;
    expect(f.get('demand.byAir.atPower.massFlow')).toBeCloseTo(air / (stoich * 0.8), 6);
  });

  test('a two-stroke of the same size takes twice the air', () => {
    const two = figures(set('brief.cycle', 'two-stroke'));
    const four = figures(lantern);
    expect(two.get('demand.byAir.atPower.airFlow')).toBeCloseTo(
      2 * four.get('demand.byAir.atPower.airFlow')!,
      9,
    );
  });

  test('higher ground gives less air on the same gauge boost', () => {
    const high = figures(set('brief.altitude', { value: 2500, unit: 'm' }));
    expect(high.get('demand.byAir.atPower.airFlow')).toBeLessThan(
      figures(lantern).get('demand.byAir.atPower.airFlow')!,
    );
  });
});

describe('the pick', () => {
  const f = figures(lantern);
  const byPower = f.get('demand.byPower.peak.massFlow')!;
  const byAir = f.get('demand.byAir.atPower.massFlow')!;

  test('the larger is carried unless one is picked', () => {
    expect(f.get('demand.carried.massFlow')).toBe(Math.max(byPower, byAir));
    const air = figures(set('demand', { school: 'air', reason: 'measured' }));
    expect(air.get('demand.carried.massFlow')).toBe(byAir);
    const power = figures(set('demand', { school: 'power', reason: 'measured' }));
    expect(power.get('demand.carried.massFlow')).toBe(byPower);
  });

  test('disagreement is over the larger', () => {
    expect(f.get('demand.disagreement')).toBeCloseTo(
      Math.abs(byPower - byAir) / Math.max(byPower, byAir),
      12,
    );
  });

  test('each implied input reconciles the schools when entered', () => {
    const consumption = figures(
      set('brief.specificConsumption', {
        value: f.get('demand.implied.specificConsumption')!,
        unit: 'g/kWh',
      }),
    );
    expect(consumption.get('demand.disagreement')).toBeLessThan(1e-9);
    const boost = figures(
      set('brief.boost', { value: f.get('demand.implied.boost')!, unit: 'bar' }),
    );
    expect(boost.get('demand.disagreement')).toBeLessThan(1e-9);
    const efficiency = figures(
      set('brief.volumetricEfficiencyCurve.p5.value', {
        value: f.get('demand.implied.volumetricEfficiency')!,
        unit: '%',
      }),
    );
    expect(efficiency.get('demand.disagreement')).toBeLessThan(1e-9);
  });

  test('design is peak times the factor', () => {
    expect(f.get('demand.design.massFlow')).toBeCloseTo(1.1 * f.get('demand.peak.massFlow')!, 12);
  });
});

describe('the map', () => {
  const { demandMap: map, demandPeak: peak } = evaluated(lantern);

  test('spans idle to limiter and holds the power speed', () => {
    expect(map.speeds).toHaveLength(MAP_SPEEDS);
    expect(map.loads).toHaveLength(MAP_LOADS);
    expect(map.speeds[0]).toBe(lanternBrief.idleSpeed.value);
    expect(map.speeds.at(-1)).toBe(lanternBrief.limiterSpeed.value);
    expect(map.speeds).toContain(lanternBrief.powerSpeed.value);
    map.speeds.slice(1).forEach((speed, i) => expect(speed).toBeGreaterThan(map.speeds[i]!));
  });

  test('more load never takes less fuel', () => {
    for (const row of map.massFlow) {
      row.slice(1).forEach((flow, l) => expect(flow).toBeGreaterThan(row[l]!));
    }
  });

  test('its highest value is the peak', () => {
    const highest = Math.max(...map.massFlow.flat());
    expect(peak.massFlow).toBeCloseTo(highest, 12);
  });

  test('peak lies at the power speed for a carried demand by power', () => {
    expect(peak.speed).toBe(lanternBrief.powerSpeed.value);
    expect(peak.manifoldGauge).toBeCloseTo(85e3, 6);
  });

  test('an axis whose power speed is the limiter keeps its ends', () => {
    const brief = { ...lanternBrief, powerSpeed: lanternBrief.limiterSpeed };
    const axis = speedAxis(brief, 24);
    expect(axis.at(-1)).toBe(lanternBrief.limiterSpeed.value);
    expect(new Set(axis).size).toBe(24);
  });

  test('idle sits at idle manifold pressure with λ 1', () => {
    const point = airPoint(
      {
        brief: lanternBrief,
        ambientPressure: 100e3,
        chargeTemperature: 320,
        coldTemperature: 263.15,
        stoichAirFuelRatio: 14.1,
        fullLoadLambda: 0.8,
      },
      lanternBrief.idleSpeed.value,
      0,
    );
    expect(point.manifoldAbsolute).toBe(35e3);
    expect(point.lambda).toBe(1);
    expect(point.massFlow).toBeCloseTo(point.airFlow / 14.1, 12);
  });

  test('λ goes from 1 to full load in between', () => {
    expect(lambdaAtLoad(0.7, 0.8)).toBe(1);
    expect(lambdaAtLoad(0.8, 0.8)).toBeCloseTo(0.9, 12);
    expect(lambdaAtLoad(0.95, 0.8)).toBeCloseTo(0.8, 12);
  });
});

describe('sketched curves', () => {
  test('are held beyond their ends', () => {
    const curve = lanternBrief.boostCurve;
    expect(curveAt(curve, 0)).toBe(0);
    expect(curveAt(curve, 500)).toBe(0.92);
  });

  test.each(['natural', 'supercharged', 'turbo'] as const)(
    '%s has usable defaults',
    (aspiration) => {
      const curves = defaultCurves({ ...lanternBrief, aspiration });
      for (const points of [curves.volumetricEfficiencyCurve, curves.boostCurve]) {
        points
          .slice(1)
          .forEach((p, i) => expect(p.speed.value).toBeGreaterThan(points[i]!.speed.value));
      }
      const efficiencies = curves.volumetricEfficiencyCurve.map((p) => p.value.value);
      expect(Math.min(...efficiencies)).toBeGreaterThanOrEqual(0.2);
      expect(Math.max(...efficiencies)).toBeLessThanOrEqual(1.4);
      expect(curves.boostCurve.some((p) => p.value.value > 0)).toBe(aspiration !== 'natural');
    },
  );
});
