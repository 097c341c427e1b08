import { figureNames, single } from '../results/index.ts';

/** Figures of surroundings, fuels and demand. The first fuel needs no name in a key. */
export const engineFigure = figureNames({
  ...single(
    'ambient.pressureAbsolute',
    'engine.chargeTemperature',
    'engine.compressorOutletTemperature',
    'fuel.hottestTemperature',
    'fuel.coldestTemperature',
    'demand.stoichAirFuelRatio',
    'demand.fuelFactor',
    'demand.byPower.peak.massFlow',
    'demand.disagreement',
    'demand.implied.specificConsumption',
    'demand.implied.volumetricEfficiency',
    'demand.implied.boost',
    'demand.carried.massFlow',
    'demand.peak.massFlow',
    'demand.design.massFlow',
  ),
  'fuel.density': 'fuel{.fuel}.density',
  'fuel.ethanolMassFraction': 'fuel{.fuel}.ethanolMassFraction',
  'fuel.stoichAirFuelRatio': 'fuel{.fuel}.stoichAirFuelRatio',
  'fuel.lowerHeatingValue': 'fuel{.fuel}.lowerHeatingValue',
  'fuel.petrolReidVapourPressure': 'fuel{.fuel}.petrolReidVapourPressure',
  'fuel.seasonalShift': 'fuel{.fuel}.seasonalShift',
  'fuel.consumptionFactor': 'fuel{.fuel}.consumptionFactor',
  'fuel.hot.density': 'fuel{.fuel}.hot.density',
  'fuel.hot.viscosity': 'fuel{.fuel}.hot.viscosity',
  'fuel.hot.vapourPressureAbsolute': 'fuel{.fuel}.vapourPressureAbsolute',
  'fuel.cold.density': 'fuel{.fuel}.cold.density',
  'fuel.cold.viscosity': 'fuel{.fuel}.cold.viscosity',
  'fuel.cold.vapourPressureAbsolute': 'fuel{.fuel}.cold.vapourPressureAbsolute',
  'demand.byAir.manifoldAbsolute': 'demand.byAir.{at}.manifoldAbsolute',
  'demand.byAir.airFlow': 'demand.byAir.{at}.airFlow',
  'demand.byAir.massFlow': 'demand.byAir.{at}.massFlow',
});

/** Names a fuel in a figure: the first of a build needs no name. */
export interface FuelScope {
  readonly fuel?: string;
}
export const fuelScope = (index: number, id: string): FuelScope =>
  index === 0 ? {} : { fuel: id };
