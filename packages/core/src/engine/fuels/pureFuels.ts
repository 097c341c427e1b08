/** Properties of a pure fuel; SI. Density at 15 °C, viscosity at 20 °C and 60 °C. */
export interface PureFuel {
  readonly density: number;
  readonly stoichAirFuelRatio: number;
  readonly lowerHeatingValue: number;
  readonly expansion: number;
  readonly viscosity20: number;
  readonly viscosity60: number;
}

export const petrolE0: PureFuel = {
  density: 745,
  stoichAirFuelRatio: 14.7,
  lowerHeatingValue: 43.4e6,
  expansion: 1.0e-3,
  viscosity20: 0.53e-3,
  viscosity60: 0.36e-3,
};
export const ethanol: PureFuel = {
  density: 794,
  stoichAirFuelRatio: 9.0,
  lowerHeatingValue: 26.8e6,
  expansion: 1.09e-3,
  viscosity20: 1.2e-3,
  viscosity60: 0.592e-3,
};
export const methanol: PureFuel = {
  density: 796,
  stoichAirFuelRatio: 6.46,
  lowerHeatingValue: 19.9e6,
  expansion: 1.19e-3,
  viscosity20: 0.59e-3,
  viscosity60: 0.351e-3,
};
