import type { EngineBrief } from './engineBrief.ts';
import { curveAt, fillsPerRevolution } from './engine.ts';
import { airFlow } from './formulas.ts';
import { computeFormula } from '../../results/index.ts';

/** Total fuel mass flow over speed and load, nominal (without the design factor). SI. */
export interface DemandMap {
  readonly speeds: readonly number[];
  /** 0 is idle manifold pressure, 1 is full load */
  readonly loads: readonly number[];
  /** [speed][load] kg/s, absolute Pa, gauge Pa, kg/s of air */
  readonly massFlow: readonly (readonly number[])[];
  readonly manifoldAbsolute: readonly (readonly number[])[];
  readonly manifoldGauge: readonly (readonly number[])[];
  readonly airFlow: readonly (readonly number[])[];
}

export interface EngineAir {
  readonly brief: EngineBrief;
  readonly ambientPressure: number;
  readonly chargeTemperature: number;
  /** air of the coldest day */
  readonly coldTemperature: number;
  readonly stoichAirFuelRatio: number;
  readonly fullLoadLambda: number;
}

/** One point of engine running, SI. */
export interface AirPoint {
  readonly manifoldAbsolute: number;
  readonly manifoldGauge: number;
  readonly airFlow: number;
  readonly lambda: number;
  /** fuel by air, kg/s */
  readonly massFlow: number;
}

/** λ over load: 1 up to 0.7, straight down to the full-load value at 0.9. */
export function lambdaAtLoad(load: number, fullLoadLambda: number): number {
  const share = Math.min(1, Math.max(0, (load - 0.7) / 0.2));
  return 1 + share * (fullLoadLambda - 1);
}

/** Air and fuel at a speed rev/s and a load 0 to 1. */
export function airPoint(
  engine: EngineAir,
  speed: number,
  load: number,
  chargeTemperature = engine.chargeTemperature,
): AirPoint {
  const { brief, ambientPressure } = engine;
  const full = ambientPressure + brief.boost.value * curveAt(brief.boostCurve, speed);
  const idle = Math.min(brief.idleManifoldAbsolute.value, full);
  const manifoldAbsolute = idle + load * (full - idle);
  const air = computeFormula(airFlow, {
    volumetricEfficiency: curveAt(brief.volumetricEfficiencyCurve, speed),
    manifoldAbsolute,
    chargeTemperature,
    displacement: brief.displacement.value,
    fillsPerRevolution: fillsPerRevolution[brief.cycle],
    speed,
  });
  const lambda = lambdaAtLoad(load, engine.fullLoadLambda);
  return {
    manifoldAbsolute,
    manifoldGauge: manifoldAbsolute - ambientPressure,
    airFlow: air,
    lambda,
    massFlow: air / (engine.stoichAirFuelRatio * lambda),
  };
}

/** Even steps from idle to limiter, the one nearest to the power speed moved onto it. */
export function speedAxis(brief: EngineBrief, count: number): number[] {
  const idle = brief.idleSpeed.value;
  const step = (brief.limiterSpeed.value - idle) / (count - 1);
  const axis = Array.from({ length: count }, (_, i) => idle + i * step);
  axis[count - 1] = brief.limiterSpeed.value;
  const nearest = Math.round((brief.powerSpeed.value - idle) / step);
  axis[Math.min(count - 1, Math.max(0, nearest))] = brief.powerSpeed.value;
  return axis;
}

export const MAP_SPEEDS = 24;
export const MAP_LOADS = 10;

/** The demand map by air, every fuel flow multiplied by `scale`. */
export function demandMap(engine: EngineAir, scale: number): DemandMap {
  const speeds = speedAxis(engine.brief, MAP_SPEEDS);
  const loads = Array.from({ length: MAP_LOADS }, (_, i) => i / (MAP_LOADS - 1));
  const points = speeds.map((speed) => loads.map((load) => airPoint(engine, speed, load)));
  return {
    speeds,
    loads,
    massFlow: points.map((row) => row.map((p) => p.massFlow * scale)),
    manifoldAbsolute: points.map((row) => row.map((p) => p.manifoldAbsolute)),
    manifoldGauge: points.map((row) => row.map((p) => p.manifoldGauge)),
    airFlow: points.map((row) => row.map((p) => p.airFlow)),
  };
}

export interface MapPoint {
  readonly speedIndex: number;
  readonly loadIndex: number;
}

/** Where a table over the map is highest. */
export function highestPoint(table: readonly (readonly number[])[]): MapPoint {
  let best: MapPoint = { speedIndex: 0, loadIndex: 0 };
  let highest = -Infinity;
  table.forEach((row, speedIndex) =>
    row.forEach((value, loadIndex) => {
      if (value > highest) {
        highest = value;
        best = { speedIndex, loadIndex };
      }
    }),
  );
  return best;
}
