/** Dry air at a film temperature K and standard pressure; SI. */
export interface AirProperties {
  readonly density: number;
  readonly viscosity: number;
  readonly conductivity: number;
  readonly prandtl: number;
}

/**
 * Air at 101.325 kPa. Viscosity by Sutherland, conductivity by the standard atmosphere's
 * formula (ISO 2533), heat capacity 1006 J/(kg·K). 200 to 700 K within about 1 %.
 */
export function airProperties(temperature: number): AirProperties {
  const density = 101325 / (287.05 * temperature);
  const viscosity = (1.458e-6 * temperature ** 1.5) / (temperature + 110.4);
  const conductivity =
    (2.64638e-3 * temperature ** 1.5) / (temperature + 245.4 * 10 ** (-12 / temperature));
  return { density, viscosity, conductivity, prandtl: (1006 * viscosity) / conductivity };
}
