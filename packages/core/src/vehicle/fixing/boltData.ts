import type { BoltSize, PlateMetal } from '../slices/fixings.ts';

/** Sizes of a metric bolt, m: thread, clearance hole (ISO 273 medium), pitch, washer, locking nut. */
export interface BoltData {
  readonly thread: number;
  readonly hole: number;
  readonly pitch: number;
  /** thickness by ISO 7089 */
  readonly washer: number;
  /** height by ISO 7040 */
  readonly nut: number;
}

const bolt = (
  thread: number,
  hole: number,
  pitch: number,
  washer: number,
  nut: number,
): BoltData => ({
  thread: thread / 1e3,
  hole: hole / 1e3,
  pitch: pitch / 1e3,
  washer: washer / 1e3,
  nut: nut / 1e3,
});

export const boltData: Readonly<Record<BoltSize, BoltData>> = {
  M5: bolt(5, 5.5, 0.8, 1, 6.8),
  M6: bolt(6, 6.6, 1, 1.6, 8),
  M8: bolt(8, 9, 1.25, 1.6, 9.5),
  M10: bolt(10, 11, 1.5, 2, 11.9),
};

/** Lengths in which hexagon bolts by ISO 4017 are made, m. */
export const boltLengths: readonly number[] = [
  12, 16, 20, 25, 30, 35, 40, 45, 50, 55, 60, 65, 70, 80, 90, 100, 110, 120, 130, 140, 150,
].map((mm) => mm / 1e3);

/** Density of sheet metal, kg/m³. */
export const metalDensity: Readonly<Record<PlateMetal, number>> = {
  steel: 7850,
  stainless: 7900,
  aluminium: 2700,
};
