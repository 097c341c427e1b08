import type { PureFuel } from './pureFuels.ts';

/** Pa·s at kelvin through the two table points, μ = A·exp(B/T). */
export function fuelViscosity(fuel: PureFuel, temperatureK: number): number {
  const t1 = 293.15;
  const t2 = 333.15;
  const b = Math.log(fuel.viscosity20 / fuel.viscosity60) / (1 / t1 - 1 / t2);
  return fuel.viscosity20 * Math.exp(b * (1 / temperatureK - 1 / t1));
}
