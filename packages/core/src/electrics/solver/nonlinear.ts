import type { Diode, ElectricElement, PowerLoad } from './circuit.ts';

/** Thermal voltage kT/q at 27 °C, V. */
export const THERMAL_VOLTAGE = 0.025865;

/** Current A of an element at a voltage across it, and how it rises with it, S. */
export interface OperatingPoint {
  readonly current: number;
  readonly slope: number;
}

/** Elements whose current is no straight line of their voltage. */
export type Nonlinear = Diode | PowerLoad;

export const isNonlinear = (element: ElectricElement): element is Nonlinear =>
  element.kind === 'diode' || element.kind === 'power';

function diodeAt({ saturation, emission }: Diode, voltage: number): OperatingPoint {
  const scale = emission * THERMAL_VOLTAGE;
  // Far in reverse the exponential is nothing, and so would be the slope.
  if (voltage < -40 * scale) return { current: -saturation, slope: 0 };
  const rise = Math.exp(Math.min(voltage / scale, 700));
  return { current: saturation * (rise - 1), slope: (saturation * rise) / scale };
}

function powerAt({ power, ratedVoltage }: PowerLoad, voltage: number): OperatingPoint {
  const least = ratedVoltage / 2;
  const conductance = power / least ** 2;
  return voltage < least
    ? { current: conductance * voltage, slope: conductance }
    : { current: power / voltage, slope: -power / voltage ** 2 };
}

/** Current and slope of an element at a voltage. */
export const operatingPoint = (element: Nonlinear, voltage: number): OperatingPoint =>
  element.kind === 'diode' ? diodeAt(element, voltage) : powerAt(element, voltage);

/**
 * A step of a diode's voltage that its exponential can follow: beyond the knee it goes by the
 * current, not by the voltage (Nagel, SPICE2, University of California 1975, junction limiting).
 */
export function limitedVoltage(element: Nonlinear, before: number, wanted: number): number {
  if (element.kind === 'power') return wanted;
  const scale = element.emission * THERMAL_VOLTAGE;
  const knee = scale * Math.log(scale / (Math.SQRT2 * element.saturation));
  if (wanted <= knee || Math.abs(wanted - before) <= 2 * scale) return wanted;
  if (before <= 0) return scale * Math.log(Math.max(wanted / scale, 1));
  const ratio = 1 + (wanted - before) / scale;
  return ratio > 0 ? before + scale * Math.log(ratio) : knee;
}
