import type { UnitKind } from './unitKinds.ts';

export const unitSystems = ['metric', 'us', 'mixed'] as const;
/** Units a person reads in. */
export type UnitSystem = (typeof unitSystems)[number];

const metric: Record<UnitKind, string> = {
  ratio: '',
  count: '',
  length: 'm',
  area: 'mm²',
  volume: 'L',
  mass: 'kg',
  force: 'N',
  frequency: 'Hz',
  torque: 'N·m',
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
  angle: '°',
  velocity: 'm/s',
  roadSpeed: 'km/h',
  distance: 'km',
  volumePerDistance: 'L/100 km',
  specificHeat: 'kJ/kg·K',
  thermalConductance: 'W/K',
  compliance: 'm³/Pa',
  workTime: 'h',
  duration: 's',
  density: 'kg/m³',
  viscosity: 'mPa·s',
  voltage: 'V',
  current: 'A',
  charge: 'A·h',
  endurance: 'min',
  drain: 'mA',
  days: 'd',
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
    torque: 'lbf·ft',
    pressure: 'psi',
    temperature: '°F',
    power: 'hp',
    specificConsumption: 'lb/hp·h',
    massFlow: 'lb/h',
    volumeFlow: 'US gph',
    volume: 'US gal',
    velocity: 'ft/s',
    roadSpeed: 'mph',
    distance: 'mi',
    volumePerDistance: 'US gal/100 mi',
    thermalConductance: 'Btu/h·°F',
    mass: 'lb',
    force: 'lbf',
  },
  // As many workshops speak: metric vehicle and fuel, pressure in psi, power in hp.
  mixed: { ...metric, pressure: 'psi', power: 'hp' },
};

/** How figures are written: the mark before decimals and what sets thousands apart. */
export const numberFormats = ['space-point', 'space-comma', 'comma-point', 'point-comma'] as const;
export type NumberFormat = (typeof numberFormats)[number];

/** How one reader reads: units and number format. A bare system reads with a decimal point. */
export interface Reading {
  readonly system: UnitSystem;
  readonly numbers: NumberFormat;
}
export type ReadsIn = UnitSystem | Reading;

export const systemOf = (reads: ReadsIn): UnitSystem =>
  typeof reads === 'string' ? reads : reads.system;
export const numbersOf = (reads: ReadsIn): NumberFormat =>
  typeof reads === 'string' ? 'space-point' : reads.numbers;

/** Unit taken for a bare number in a field whose usual metric unit is given. */
export function usualUnit(reads: ReadsIn, kind: UnitKind, metricUnit: string): string {
  const system = systemOf(reads);
  if (system === 'metric') return metricUnit;
  if (kind === 'length') return system === 'us' ? (metricUnit === 'm' ? 'ft' : 'in') : metricUnit;
  const own = displayUnits[system][kind];
  return own === metric[kind] ? metricUnit : own;
}
