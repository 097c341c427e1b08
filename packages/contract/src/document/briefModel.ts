import {
  type Aspiration,
  type Brief,
  type CurvePoint,
  type Cycle,
  type Quantity,
  type VehicleUse,
  aspirations,
  cycles,
  vehicleUses,
} from '@brookrain/core';
import { IsIn, IsInt, IsString, Max, MaxLength, Min } from 'class-validator';
import { QuantityOf } from '../quantityOf.ts';
import { ListOf } from './nested.ts';
import { RisingSpeeds, SpeedAbove } from './speedRules.ts';

const celsius = (c: number): number => c + 273.15;
const temperatures = { min: celsius(-40), max: celsius(120) };

export class EfficiencyPointModel implements CurvePoint {
  @QuantityOf('rotation', { min: 0, max: 500, message: 'speed must be between 0 and 30 000 rpm' })
  speed: Quantity;

  @QuantityOf('ratio', {
    min: 0.2,
    max: 1.4,
    message: 'volumetric efficiency must be between 20 % and 140 %',
  })
  value: Quantity;
}

/** Bounds of the brief that the guided start asks under too. */
export const briefRules = {
  displacement: {
    min: 0.02e-3,
    max: 30e-3,
    message: 'displacement must be above zero, from 0.02 L to 30 L, for example 2.4 L or 146 ci',
  },
  power: { min: 500, max: 2e6, message: 'power must be above zero, from 0.5 kW to 2 000 kW' },
  speed: { min: 1, max: 500, message: 'speed must be from 60 to 30 000 rpm' },
  boost: { min: 0, max: 5e5, message: 'boost must be between 0 and 5 bar above ambient' },
} as const;

export class BoostPointModel implements CurvePoint {
  @QuantityOf('rotation', { min: 0, max: 500, message: 'speed must be between 0 and 30 000 rpm' })
  speed: Quantity;

  @QuantityOf('ratio', { min: 0, max: 1.5, message: 'share of boost must be between 0 and 150 %' })
  value: Quantity;
}

/** What the agreed facts may be; the messages are read at the field and from the API. */
export class BriefModel implements Brief {
  @IsString()
  @MaxLength(200)
  vehicle: string;

  @IsString()
  @MaxLength(200)
  engine: string;

  @IsIn(vehicleUses)
  use: VehicleUse;

  @IsIn(cycles)
  cycle: Cycle;

  @IsIn(aspirations)
  aspiration: Aspiration;

  @QuantityOf('volume', briefRules.displacement)
  displacement: Quantity;

  @IsInt({ message: 'cylinders must be a whole number' })
  @Min(1, { message: 'there must be at least one cylinder' })
  @Max(16, { message: 'at most 16 cylinders' })
  cylinders: number;

  @QuantityOf('power', briefRules.power)
  power: Quantity;

  @QuantityOf('rotation', briefRules.speed)
  @SpeedAbove('idleSpeed', { message: 'the power speed must be above idle' })
  powerSpeed: Quantity;

  @QuantityOf('rotation', { min: 3, max: 100, message: 'idle must be from 180 to 6 000 rpm' })
  idleSpeed: Quantity;

  @QuantityOf('rotation', briefRules.speed)
  @SpeedAbove('powerSpeed', {
    orEqual: true,
    message: 'the limiter must not be below the power speed',
  })
  limiterSpeed: Quantity;

  @QuantityOf('pressure', briefRules.boost)
  boost: Quantity;

  @QuantityOf('pressure', {
    min: 10e3,
    max: 110e3,
    message: 'idle manifold pressure is absolute, between 10 and 110 kPa',
  })
  idleManifoldAbsolute: Quantity;

  @QuantityOf('length', {
    min: -450,
    max: 6000,
    message: 'altitude must be from −450 m to 6 000 m',
  })
  altitude: Quantity;

  @QuantityOf('temperature', { ...temperatures, message: 'temperature must be from −40 to 120 °C' })
  ambientHot: Quantity;

  @QuantityOf('temperature', {
    ...temperatures,
    optional: true,
    message: 'temperature must be from −40 to 120 °C',
  })
  chargeTemperature: Quantity | null;

  @QuantityOf('temperature', {
    ...temperatures,
    optional: true,
    message: 'temperature must be from −40 to 120 °C',
  })
  fuelTemperatureHot: Quantity | null;

  @QuantityOf('ratio', {
    min: 0.5,
    max: 1.5,
    optional: true,
    message: 'λ must be between 0.5 and 1.5',
  })
  lambdaFullLoad: Quantity | null;

  @QuantityOf('specificConsumption', {
    min: 100e-3 / 3.6e6,
    max: 2000e-3 / 3.6e6,
    optional: true,
    message: 'specific consumption must be from 100 to 2 000 g/kWh, on petrol',
  })
  specificConsumption: Quantity | null;

  @QuantityOf('power', {
    min: 0,
    max: 500e3,
    above: true,
    optional: true,
    message: 'cruise power must be above 0, up to 500 kW',
  })
  cruisePower: Quantity | null;

  @QuantityOf('roadSpeed', {
    min: 1,
    max: 120,
    message: 'road speed must be from 3.6 to 430 km/h',
  })
  cruiseRoadSpeed: Quantity;

  @ListOf(() => EfficiencyPointModel, { min: 2, max: 24 })
  @RisingSpeeds({ message: 'curve points must rise in speed' })
  volumetricEfficiencyCurve: EfficiencyPointModel[];

  @ListOf(() => BoostPointModel, { min: 2, max: 24 })
  @RisingSpeeds({ message: 'curve points must rise in speed' })
  boostCurve: BoostPointModel[];
}
