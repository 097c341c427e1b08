import type { Aspiration, Brief, CurvePoint, Cycle } from '../../model/index.ts';
import { entryAt, interpolateClamped } from '../../numerics/index.ts';

/** Times the swept volume is filled per shaft revolution. */
export const fillsPerRevolution: Record<Cycle, number> = {
  'four-stroke': 0.5,
  'two-stroke': 1,
  rotary: 1,
};

/** Shaft revolutions of one injection cycle. */
export const revolutionsPerCycle: Record<Cycle, number> = {
  'four-stroke': 2,
  'two-stroke': 1,
  rotary: 1,
};

/** Value of a sketched curve at a speed in rev/s; held constant beyond its ends. */
export function curveAt(curve: readonly CurvePoint[], speed: number): number {
  return interpolateClamped(
    curve.map((p) => p.speed.value),
    curve.map((p) => p.value.value),
    speed,
  );
}

const GRAM_PER_KWH = 1e-3 / 3.6e6;

/** Full-load consumption on E0 in g/kWh: the usual one, and what engines are seen to need. */
const fullLoadConsumption: Record<Aspiration, { usual: number; low: number; high: number }> = {
  natural: { usual: 290, low: 275, high: 315 },
  supercharged: { usual: 345, low: 330, high: 365 },
  turbo: { usual: 350, low: 330, high: 380 },
};
const rotaryFactor = (cycle: Cycle): number => (cycle === 'rotary' ? 1.15 : 1);

/** Full-load consumption on E0 in kg/J: 290, 345, 350 g/kWh; rotary 15 % more. */
export const defaultSpecificConsumption = (aspiration: Aspiration, cycle: Cycle): number =>
  fullLoadConsumption[aspiration].usual * GRAM_PER_KWH * rotaryFactor(cycle);

/** Whether an engine may well need so much at full load on E0, kg/J: a tenth beyond the band. */
export function credibleConsumption(consumption: number, aspiration: Aspiration, cycle: Cycle) {
  const { low, high } = fullLoadConsumption[aspiration];
  const grams = consumption / GRAM_PER_KWH / rotaryFactor(cycle);
  return grams >= 0.9 * low && grams <= 1.1 * high;
}

/** λ at full load: middle of the customary band for the engine and fuel. */
export function defaultFullLoadLambda(aspiration: Aspiration, mostlyAlcohol: boolean): number {
  if (aspiration === 'natural') return 0.88;
  return mostlyAlcohol ? 0.78 : 0.8;
}

/** Charge of a natural engine above ambient, K: a warm manifold. */
export const NATURAL_CHARGE_RISE = 12;
/** Isentropic efficiency of a compressor where nothing better is known. */
export const COMPRESSOR_EFFICIENCY = 0.7;
/** Effectiveness of a charge cooler where nothing else is said. */
export const COOLER_EFFECTIVENESS = 0.7;

/** Fuel in the tank above ambient on the hottest day, K. */
export const FUEL_TEMPERATURE_RISE = 5;

type EngineType = Pick<Brief, 'aspiration' | 'idleSpeed' | 'powerSpeed' | 'limiterSpeed'>;

/** Curves to start from for an engine type, over idle to limiter. */
export function defaultCurves(engine: EngineType): {
  volumetricEfficiencyCurve: CurvePoint[];
  boostCurve: CurvePoint[];
} {
  const idle = engine.idleSpeed.value;
  const top = engine.powerSpeed.value;
  const limiter = engine.limiterSpeed.value;
  const between = (share: number): number => {
    const rpm = (idle + share * (top - idle)) * 60;
    return Math.round(rpm / 50) * 50;
  };
  const speeds = [idle * 60, between(0.25), between(0.5), between(0.75), top * 60, limiter * 60];
  const efficiency =
    engine.aspiration === 'natural'
      ? [0.55, 0.78, 0.88, 0.95, 0.92, 0.82]
      : [0.55, 0.78, 0.88, 0.92, 0.9, 0.77];
  const boost =
    engine.aspiration === 'supercharged' ? [0, 0.4, 0.7, 0.9, 1, 1] : [0, 0.3, 0.9, 1, 1, 0.9];
  const points = (values: number[]): CurvePoint[] =>
    speeds.map((rpm, i) => ({
      speed: { value: rpm / 60, unit: 'rpm' },
      value: { value: entryAt(values, i), unit: '%' },
    }));
  return {
    volumetricEfficiencyCurve: points(efficiency),
    boostCurve: points(engine.aspiration === 'natural' ? [0, 0, 0, 0, 0, 0] : boost),
  };
}
