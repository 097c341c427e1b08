import { quantity as q } from '../quantities/index.ts';
import {
  type Fields,
  type Of,
  choice,
  constant,
  kinds,
  object,
  orderField,
  quantityField,
  quantityOrNone,
  record,
  rule,
  text,
  whole,
} from '../model/spec.ts';
import { curveSpec, hasDistinctSpeeds } from '../model/curve.ts';

export const cycles = ['four-stroke', 'two-stroke', 'rotary'] as const;
export const aspirations = ['natural', 'supercharged', 'turbo'] as const;
export const vehicleUses = ['road', 'two-or-three-wheeler', 'off-road', 'competition'] as const;
export const demandChoices = ['larger', 'power', 'air'] as const;

/** Working cycle of an engine. */
export type Cycle = (typeof cycles)[number];
/** How an engine breathes. */
export type Aspiration = (typeof aspirations)[number];
/** What a vehicle is used for. */
export type VehicleUse = (typeof vehicleUses)[number];
/** A school of demand. */
export type DemandChoiceName = (typeof demandChoices)[number];

const celsius = (c: number): number => c + 273.15;
const temperatures = {
  min: celsius(-40),
  max: celsius(120),
  message: 'temperature must be from −40 to 120 °C',
};
const words = { min: 0, max: 200, initial: '' };

/** Fields that the guided start asks too. */
export const startFields = {
  displacement: quantityField('volume', 'L', {
    label: 'Displacement',
    min: 0.02e-3,
    max: 30e-3,
    message: 'displacement must be above zero, from 0.02 L to 30 L, for example 2.4 L or 146 ci',
  }),
  power: quantityField('power', 'kW', {
    label: 'Power',
    min: 500,
    max: 2e6,
    message: 'power must be above zero, from 0.5 kW to 2 000 kW',
  }),
  powerSpeed: quantityField('rotation', 'rpm', {
    label: 'at engine speed',
    min: 1,
    max: 500,
    message: 'speed must be from 60 to 30 000 rpm',
  }),
  limiterSpeed: quantityField('rotation', 'rpm', {
    label: 'Limiter',
    min: 1,
    max: 500,
    message: 'speed must be from 60 to 30 000 rpm',
  }),
  boost: quantityField('pressure', 'bar', {
    label: 'Boost, gauge',
    min: 0,
    max: 5e5,
    message: 'boost must be between 0 and 5 bar above ambient',
    initial: q(0, 'pressure', 'bar'),
  }),
} satisfies Fields;

/** The agreed facts and targets. A quantity of null means the default of the trade applies. */
export const briefSpec = object(
  {
    vehicle: text({ label: 'Vehicle', ...words }),
    engine: text({ label: 'Engine', ...words }),
    use: choice(vehicleUses, { label: 'Use' }),
    cycle: choice(cycles, { label: 'Cycle', initial: 'four-stroke' }),
    aspiration: choice(aspirations, { label: 'Induction' }),
    displacement: startFields.displacement,
    cylinders: whole({
      label: 'Cylinders',
      min: 1,
      max: 16,
      message: 'cylinders must be a whole number from 1 to 16',
    }),
    firingOrder: text({
      label: 'Firing order',
      help: 'cylinders in the order in which they fire, such as 1-3-4-2',
      since: 11,
      min: 0,
      max: 60,
      initial: '',
    }),
    power: startFields.power,
    powerSpeed: startFields.powerSpeed,
    idleSpeed: quantityField('rotation', 'rpm', {
      label: 'Idle',
      min: 3,
      max: 100,
      message: 'idle must be from 180 to 6 000 rpm',
      initial: q(850, 'rotation', 'rpm'),
    }),
    limiterSpeed: startFields.limiterSpeed,
    boost: startFields.boost,
    idleManifoldAbsolute: quantityField('pressure', 'kPa', {
      label: 'Manifold at idle, absolute',
      help: 'absolute manifold pressure at hot idle',
      min: 10e3,
      max: 110e3,
      message: 'idle manifold pressure is absolute, between 10 and 110 kPa',
      initial: q(38, 'pressure', 'kPa'),
    }),
    altitude: quantityField('length', 'm', {
      label: 'Altitude',
      min: -450,
      max: 6000,
      message: 'altitude must be from −450 m to 6 000 m',
      initial: q(0, 'length', 'm'),
    }),
    ambientHot: quantityField('temperature', '°C', {
      label: 'Hot day',
      ...temperatures,
      initial: q(35, 'temperature', '°C'),
    }),
    ambientCold: quantityField('temperature', '°C', {
      label: 'Coldest day',
      help: 'cranking cold is judged with fuel and air of this temperature',
      since: 4,
      ...temperatures,
      initial: q(-10, 'temperature', '°C'),
    }),
    protectionTemperature: quantityField('temperature', '°C', {
      label: 'Engine protection from',
      help: 'coolant temperature at which the controller begins to protect the engine',
      since: 18,
      min: 333.15,
      max: 423.15,
      message: 'engine protection begins between 60 and 150 °C of coolant temperature',
      initial: q(110, 'temperature', '°C'),
    }),
    chargeTemperature: quantityOrNone('temperature', '°C', {
      label: 'Charge air',
      ...temperatures,
    }),
    coolerEffectiveness: quantityOrNone('ratio', '%', {
      label: 'Charge cooler',
      help: 'share of the compressor’s heat that the cooler takes out; 0 without one',
      since: 4,
      min: 0,
      max: 1,
      message: 'effectiveness must be from 0 to 100 %',
    }),
    fuelTemperatureHot: quantityOrNone('temperature', '°C', {
      label: 'Hottest fuel',
      ...temperatures,
    }),
    lambdaFullLoad: quantityOrNone('ratio', '', {
      label: 'λ at full load',
      min: 0.5,
      max: 1.5,
      message: 'λ must be between 0.5 and 1.5',
    }),
    specificConsumption: quantityOrNone('specificConsumption', 'g/kWh', {
      label: 'Consumption on petrol',
      min: 100e-3 / 3.6e6,
      max: 2000e-3 / 3.6e6,
      message: 'specific consumption must be from 100 to 2 000 g/kWh, on petrol',
    }),
    cruisePower: quantityOrNone('power', 'kW', {
      label: 'Power to keep cruising',
      help: 'power to keep the road speed at which range is told; empty: the cruise case’s fuel',
      since: 3,
      min: 0,
      above: true,
      max: 500e3,
      message: 'cruise power must be above 0, up to 500 kW',
    }),
    cruiseRoadSpeed: quantityField('roadSpeed', 'km/h', {
      label: 'Road speed at cruise',
      since: 3,
      min: 1,
      max: 120,
      message: 'road speed must be from 3.6 to 430 km/h',
      initial: q(90, 'roadSpeed', 'km/h'),
    }),
    volumetricEfficiencyCurve: curveSpec({
      label: 'Volumetric efficiency',
      min: 0.2,
      max: 1.4,
      message: 'volumetric efficiency must be between 20 % and 140 %',
    }),
    boostCurve: curveSpec({
      label: 'Boost',
      help: 'share of full boost over engine speed',
      min: 0,
      max: 1.5,
      message: 'share of boost must be between 0 and 150 %',
    }),
  },
  {
    rules: [
      rule<{ powerSpeed: { value: number }; idleSpeed: { value: number } }>(
        'powerSpeed',
        'the power speed must be above idle',
        (b) => b.powerSpeed.value > b.idleSpeed.value,
      ),
      rule<{ powerSpeed: { value: number }; limiterSpeed: { value: number } }>(
        'limiterSpeed',
        'the limiter must not be below the power speed',
        (b) => b.limiterSpeed.value >= b.powerSpeed.value,
      ),
      ...(['volumetricEfficiencyCurve', 'boostCurve'] as const).map((curve) =>
        rule<Record<typeof curve, Parameters<typeof hasDistinctSpeeds>[0]>>(
          curve,
          'two points of the curve are at one speed',
          (brief) => hasDistinctSpeeds(brief[curve]),
        ),
      ),
    ],
  },
);
export type StoredBrief = Of<typeof briefSpec>;

/** Which school of demand is carried forward, and why. */
export const demandSpec = object(
  {
    school: choice(demandChoices, { label: 'Carried forward', initial: 'larger' }),
    reason: text({ label: 'Reason', min: 0, max: 500, lines: true, initial: '' }),
  },
  {
    rules: [
      rule<{ school: DemandChoiceName; reason: string }>(
        'reason',
        'say why this school is picked (at least 3 letters)',
        (d) => d.school === 'larger' || d.reason.trim().length >= 3,
      ),
    ],
  },
);
export type DemandChoice = Of<typeof demandSpec>;

const order = orderField;
const ethanol = { min: 0, max: 1, message: 'ethanol must be between 0 and 100 %' };

/** The fuels of a build, by kind. */
export const fuelSpec = kinds('kind', {
  'petrol-ethanol': object({
    kind: constant('petrol-ethanol'),
    order,
    name: text({ min: 1, max: 80 }),
    ethanol: quantityField('ratio', '%', { label: 'Ethanol by volume', ...ethanol }),
    reidVapourPressure: quantityField('pressure', 'kPa', {
      label: 'Vapour pressure (Reid), as sold',
      help: 'as printed for the fuel as it is sold, its ethanol included',
      min: 10e3,
      max: 120e3,
      message: 'Reid vapour pressure must be from 10 to 120 kPa',
    }),
    ethanolLowest: quantityOrNone('ratio', '%', {
      label: 'Least ethanol of the year',
      help: 'least ethanol that the pump may sell in a season; empty: always the same',
      since: 3,
      ...ethanol,
    }),
  }),
  methanol: object({
    kind: constant('methanol'),
    order,
    name: text({ min: 1, max: 80 }),
  }),
});
export const fuelsSpec = record(fuelSpec, { min: 1, max: 6 });
export type StoredFuel = Of<typeof fuelSpec>;

/** Margins of the engine's fuel need. */
export const engineLimits = {
  designFactor: quantityField('ratio', '%', {
    label: 'Design factor',
    min: 1,
    max: 2,
    message: 'design factor must be from 100 to 200 %',
    initial: q(110, 'ratio', '%'),
  }),
} satisfies Fields;
