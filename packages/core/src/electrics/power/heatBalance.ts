import { findRoot } from '../../numerics/index.ts';
import { airProperties } from './airProperties.ts';

const STEFAN_BOLTZMANN = 5.670374419e-8;
const EMISSIVITY = 0.9;
const GRAVITY = 9.80665;

/**
 * Heat W/m that a horizontal cylinder of outside diameter m gives off at a surface temperature
 * K in still air: natural convection by Churchill and Chu 1975 plus radiation.
 */
export function heatGivenOff(diameter: number, surface: number, ambient: number): number {
  const difference = surface - ambient;
  if (difference <= 0) return 0;
  const film = (surface + ambient) / 2;
  const air = airProperties(film);
  const kinematic = air.viscosity / air.density;
  const diffusivity = kinematic / air.prandtl;
  const rayleigh = (GRAVITY * difference * diameter ** 3) / (film * kinematic * diffusivity);
  const nusselt =
    (0.6 + (0.387 * rayleigh ** (1 / 6)) / (1 + (0.559 / air.prandtl) ** (9 / 16)) ** (8 / 27)) **
    2;
  const convection = ((nusselt * air.conductivity) / diameter) * Math.PI * diameter * difference;
  const radiation =
    EMISSIVITY * STEFAN_BOLTZMANN * Math.PI * diameter * (surface ** 4 - ambient ** 4);
  return convection + radiation;
}

const ALPHA = 0.00393;

/** Ω/m of copper at a conductor temperature K from its value at 20 °C. */
export const resistanceAt = (at20: number, temperature: number): number =>
  at20 * (1 + ALPHA * (temperature - 293.15));

/** Permissible share of current for conductors loaded at the same time in one bundle. */
export function bundleFactor(loadedTogether: number): number {
  const steps: [number, number][] = [
    [1, 1],
    [2, 0.8],
    [3, 0.75],
    [6, 0.6],
    [9, 0.5],
    [20, 0.4],
  ];
  return steps.find(([most]) => loadedTogether <= most)?.[1] ?? 0.3;
}

export interface HeatedWire {
  readonly outsideDiameter: number;
  readonly resistancePerMetre: number;
  readonly ambient: number;
  readonly loadedTogether: number;
}

/** Current A that brings the conductor to a limit temperature K; 0 when ambient is above it. */
export function permissibleCurrent(wire: HeatedWire, limit: number): number {
  const heat = heatGivenOff(wire.outsideDiameter, limit, wire.ambient);
  return (
    Math.sqrt(heat / resistanceAt(wire.resistancePerMetre, limit)) *
    bundleFactor(wire.loadedTogether)
  );
}

/**
 * Steady conductor temperature K at a current A. A bundle gives each conductor the square of the
 * bundle factor of its own heat release. Limited to 1500 K above ambient.
 */
export function conductorTemperature(wire: HeatedWire, current: number): number {
  if (current === 0) return wire.ambient;
  const factor = bundleFactor(wire.loadedTogether) ** 2;
  return findRoot({
    low: wire.ambient,
    high: wire.ambient + 1500,
    of: (t) =>
      factor * heatGivenOff(wire.outsideDiameter, t, wire.ambient) -
      current ** 2 * resistanceAt(wire.resistancePerMetre, t),
  });
}
