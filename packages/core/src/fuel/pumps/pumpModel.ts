import type { PumpItem } from '../../catalogue/index.ts';
import {
  memo,
  type CurveSample,
  type Pchip,
  entryAt,
  firstOf,
  lastOf,
  pchip,
} from '../../numerics/index.ts';

/** Electrical supply of a pump: source voltage V behind a resistance Ω. */
export interface PumpSupply {
  readonly openCircuitV: number;
  readonly seriesResistanceOhm: number;
}

/** What a pump does at a flow m³/s on its supply; slopes by flow at solved voltage. */
export interface PumpPoint {
  pressureRise: number;
  pressureRisePerFlow: number;
  voltage: number;
  current: number;
  outsideData: boolean;
}

interface VoltageCurve {
  readonly voltage: number;
  readonly pressure: Pchip;
  readonly current: Pchip;
}

/** A pump as a set of curves with wear, ready to be solved with its wiring. */
export interface PumpModel {
  readonly item: PumpItem;
  readonly supply: PumpSupply;
  /** flow m³/s where the curve at the highest voltage in the data meets zero pressure rise */
  readonly greatestFlow: number;
  operate(flow: number, into?: PumpPoint): PumpPoint;
}

const emptyPoint = (): PumpPoint => ({
  pressureRise: 0,
  pressureRisePerFlow: 0,
  voltage: 0,
  current: 0,
  outsideData: false,
});

/** The curves of an item by rising voltage. */
const curvesOf = memo((item: PumpItem): readonly VoltageCurve[] =>
  [...item.curves]
    .sort((a, b) => a.voltage - b.voltage)
    .map((curve) => {
      const points = [...curve.points].sort((a, b) => a.flow - b.flow);
      const flows = points.map((p) => p.flow);
      return {
        voltage: curve.voltage,
        pressure: pchip(
          flows,
          points.map((p) => p.pressure),
        ),
        current: pchip(
          flows,
          points.map((p) => p.current),
        ),
      };
    }),
);

/**
 * Pump curves: pressure rise over flow by monotone cubics, straight lines in voltage. Wear takes
 * `wear` of the flow at every pressure. Terminal voltage follows from V = V0 − R·I(Q, V), solved
 * inside by Newton with exact slopes. Beyond the data it goes on straight and sets `outsideData`.
 */
export function pumpModel(input: { item: PumpItem; supply: PumpSupply; wear: number }): PumpModel {
  const { item, supply } = input;
  const freshPerWorn = 1 / (1 - input.wear);
  const curves = curvesOf(item);
  const sample: CurveSample = { value: 0, slope: 0, outside: false };
  const at = { value: 0, perFlow: 0, perVoltage: 0, outside: false };

  function read(which: 'pressure' | 'current', flow: number, voltage: number): void {
    if (curves.length === 1) {
      firstOf(curves)[which].sample(flow, sample);
      at.value = sample.value;
      at.perFlow = sample.slope;
      at.perVoltage = 0;
      at.outside = sample.outside || Math.abs(voltage - firstOf(curves).voltage) > 0.25;
      return;
    }
    let i = 0;
    while (i < curves.length - 2 && voltage > entryAt(curves, i + 1).voltage) i++;
    const low = entryAt(curves, i);
    const high = entryAt(curves, i + 1);
    const t = (voltage - low.voltage) / (high.voltage - low.voltage);
    low[which].sample(flow, sample);
    const v0 = sample.value;
    const s0 = sample.slope;
    high[which].sample(flow, sample);
    at.value = v0 + t * (sample.value - v0);
    at.perFlow = s0 + t * (sample.slope - s0);
    at.perVoltage = (sample.value - v0) / (high.voltage - low.voltage);
    at.outside = t < 0 || t > 1 || beyond(low[which].x, high[which].x, t, flow);
  }

  const last = lastOf(curves).pressure;
  return {
    item,
    supply,
    greatestFlow: lastOf(last.x) / freshPerWorn,
    operate(flow, into = emptyPoint()) {
      if (supply.openCircuitV <= 0) return standing(flow, into);
      const fresh = Math.max(0, flow) * freshPerWorn;
      const resistance = supply.seriesResistanceOhm;
      let voltage = supply.openCircuitV;
      read('current', fresh, voltage);
      for (let k = 0; k < 30 && resistance > 0; k++) {
        const residual = voltage - supply.openCircuitV + resistance * at.value;
        const step = residual / (1 + resistance * at.perVoltage);
        voltage -= step;
        read('current', fresh, voltage);
        if (Math.abs(step) < 1e-12) break;
      }
      const current = at.value;
      const currentOutside = at.outside;
      const voltagePerFlow = (-resistance * at.perFlow) / (1 + resistance * at.perVoltage);
      read('pressure', fresh, voltage);
      into.pressureRise = at.value;
      into.pressureRisePerFlow =
        flow < 0 ? 0 : (at.perFlow + at.perVoltage * voltagePerFlow) * freshPerWorn;
      into.voltage = voltage;
      into.current = current;
      into.outsideData = currentOutside || at.outside;
      return into;
    },
  };
}

/** Whether a flow lies beyond the ends of the data, these taken straight between two voltages. */
function beyond(low: Ends, high: Ends, t: number, flow: number): boolean {
  const least = entryAt(low, 0) + t * (entryAt(high, 0) - entryAt(low, 0));
  const lowEnd = entryAt(low, low.length - 1);
  const most = lowEnd + t * (entryAt(high, high.length - 1) - lowEnd);
  return flow < least * (1 - 1e-12) || flow > most * (1 + 1e-12);
}
type Ends = ArrayLike<number>;

/** How a pump that stands resists, Pa per m³/s: 10 kPa at 36 L/h; an estimate. */
const STANDING_RESISTANCE = 1e9;

/** A pump without voltage: no current, and it only resists. */
function standing(flow: number, into: PumpPoint): PumpPoint {
  into.pressureRise = -STANDING_RESISTANCE * Math.max(0, flow);
  into.pressureRisePerFlow = -STANDING_RESISTANCE;
  into.voltage = 0;
  into.current = 0;
  into.outsideData = false;
  return into;
}
