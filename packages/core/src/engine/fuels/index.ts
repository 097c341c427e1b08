export * from './atmosphere.ts';
export * from './consumption.ts';
export * from './formulas.ts';
export * from './fuelProperties.ts';
export * from './pureFuels.ts';
export * from './specificHeat.ts';
export * from './vapourPressure.ts';
export * from './viscosity.ts';
