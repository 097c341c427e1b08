import type { UnitKind } from './unitKinds.ts';

export type UnitSystem = 'metric' | 'us';

const metric: Record<UnitKind, string> = {
  ratio: '',
  count: '',
  length: 'm',
  area: 'mm²',
  volume: 'L',
  mass: 'kg',
  pressure: 'kPa',
  temperature: '°C',
  temperatureDifference: 'K',
  power: 'kW',
  energyPerMass: 'MJ/kg',
  specificConsumption: 'g/kWh',
  massFlow: 'g/s',
  volumeFlow: 'L/h',
  rotation: 'rpm',
  time: 'ms',
  velocity: 'm/s',
  density: 'kg/m³',
  viscosity: 'mPa·s',
  voltage: 'V',
  current: 'A',
  resistance: 'mΩ',
  resistancePerLength: 'mΩ/m',
  heatPerLength: 'W/m',
  letThrough: 'A²s',
  flowSlope: 'kPa per 100 L/h',
  hydraulicArea: 'mm²',
};

/** Units in which computed figures are shown, by the user's system. */
export const displayUnits: Record<UnitSystem, Record<UnitKind, string>> = {
  metric,
  us: {
    ...metric,
    length: 'ft',
    pressure: 'psi',
    temperature: '°F',
    power: 'hp',
    specificConsumption: 'lb/hp·h',
    massFlow: 'lb/h',
    volumeFlow: 'US gph',
    volume: 'US gal',
    velocity: 'ft/s',
    mass: 'lb',
  },
};
