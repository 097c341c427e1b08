import type { CatalogueItem } from '@brookrain/core';
import {
  ArrayMaxSize,
  ArrayMinSize,
  Equals,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber,
  IsString,
  Length,
  Max,
  Min,
  ValidateBy,
} from 'class-validator';
import { ListOf } from '../document/nested.ts';
import { RisingBy } from './risingBy.ts';

/** A finite number within bounds, SI. */
function Figure(min: number, max: number): PropertyDecorator {
  return (target, key) => {
    IsNumber({ allowNaN: false, allowInfinity: false }, { message: 'must be a number in SI' })(
      target,
      key,
    );
    Min(min)(target, key);
    Max(max)(target, key);
  };
}

/** A list of finite numbers within bounds, SI. */
function Figures(min: number, max: number): PropertyDecorator {
  return (target, key) => {
    IsArray()(target, key);
    ArrayMinSize(1)(target, key);
    ArrayMaxSize(60)(target, key);
    IsNumber({ allowNaN: false, allowInfinity: false }, { each: true })(target, key);
    Min(min, { each: true })(target, key);
    Max(max, { each: true })(target, key);
  };
}

/** A table with one row for each entry of `rows` and one column for each entry of `columns`. */
function TableOf(rows: string, columns: string): PropertyDecorator {
  return ValidateBy({
    name: 'tableOf',
    validator: {
      validate: (value: unknown, args) => {
        const owner = args?.object as Record<string, unknown[] | undefined>;
        return (
          Array.isArray(value) &&
          value.length === owner[rows]?.length &&
          value.every(
            (row) =>
              Array.isArray(row) &&
              row.length === owner[columns]?.length &&
              row.every((cell) => typeof cell === 'number' && cell >= 0 && cell < 0.05),
          )
        );
      },
      defaultMessage: () =>
        `must have one row for each of ${rows}, one column for each of ${columns}, dead times in s`,
    },
  });
}

export abstract class ItemModel {
  @IsString()
  @Length(1, 40)
  id: string;

  @IsInt()
  @Min(1)
  @Max(100000)
  revision: number;

  @IsString()
  @Length(1, 80)
  designation: string;

  @IsString()
  @Length(1, 80)
  family: string;

  @Figure(0, 1000)
  mass: number;

  @Figure(0, 1e6)
  price: number;

  @IsString()
  @Length(1, 80)
  interchange: string;
}

export class PumpCurvePointModel {
  @Figure(0, 0.01)
  flow: number;

  @Figure(0, 5e6)
  pressure: number;

  @Figure(0, 200)
  current: number;
}

export class PumpCurveModel {
  @Figure(1, 60)
  voltage: number;

  @ListOf(() => PumpCurvePointModel, { min: 2, max: 60 })
  @RisingBy('flow')
  points: PumpCurvePointModel[];
}

abstract class WithTerminals extends ItemModel {
  @Figure(0, 1e-3)
  wireAreaMin: number;

  @Figure(0, 1e-3)
  wireAreaMax: number;
}

export class PumpItemModel extends WithTerminals {
  @Equals('pump')
  category: 'pump';

  @IsIn(['in-tank', 'external'])
  mounting: 'in-tank' | 'external';

  @IsIn(['main', 'lift'])
  duty: 'main' | 'lift';

  @ListOf(() => PumpCurveModel, { min: 1, max: 12 })
  curves: PumpCurveModel[];

  @IsBoolean()
  checkValve: boolean;

  @IsBoolean()
  positiveDisplacement: boolean;

  @Figure(0, 1e5)
  inletHeadNeeded: number;

  @Figure(1, 30)
  inrushFactor: number;

  @Figure(1e-4, 5)
  inrushTime: number;

  @Figure(1e3, 2e7)
  pressureRating: number;
}

export class InjectorItemModel extends ItemModel {
  @Equals('injector')
  category: 'injector';

  @Figure(1e-8, 1e-3)
  ratedFlow: number;

  @Figure(1e4, 5e6)
  ratedPressure: number;

  @Figure(500, 1200)
  ratedDensity: number;

  @Figure(0.1, 100)
  resistance: number;

  @IsIn(['saturated', 'peak-hold'])
  driver: 'saturated' | 'peak-hold';

  @Figure(0, 0.05)
  smallestPulse: number;

  @Figure(0, 0.05)
  smallestEffectivePulse: number;

  @Figures(1, 60)
  @RisingBy()
  deadTimeVoltages: number[];

  @Figures(0, 5e6)
  @RisingBy()
  deadTimePressures: number[];

  @TableOf('deadTimeVoltages', 'deadTimePressures')
  deadTimes: number[][];

  @Figure(1e3, 2e7)
  pressureRating: number;
}

export class HoseItemModel extends ItemModel {
  @Equals('hose')
  category: 'hose';

  @Figure(1e-3, 0.1)
  bore: number;

  @Figure(1e-3, 0.2)
  outsideDiameter: number;

  @Figure(0, 1e-3)
  roughness: number;

  @Figure(1e3, 1e8)
  pressureRating: number;

  @Figure(0, 1)
  ethanolLimit: number;

  @IsInt()
  @Min(0)
  @Max(32)
  dash: number;
}

export class FittingItemModel extends ItemModel {
  @Equals('fitting')
  category: 'fitting';

  @Figure(1e-3, 0.1)
  bore: number;

  @Figure(0, 100)
  lossCoefficient: number;

  @Figure(1e3, 1e8)
  pressureRating: number;
}

export class FilterPointModel {
  @Figure(1e-8, 0.01)
  flow: number;

  @Figure(1, 1e6)
  pressureDrop: number;
}

export class FilterItemModel extends ItemModel {
  @Equals('filter')
  category: 'filter';

  @Figure(1e-7, 5e-3)
  fineness: number;

  @ListOf(() => FilterPointModel, { min: 1, max: 2 })
  @RisingBy('flow')
  points: FilterPointModel[];

  @Figure(500, 1200)
  testDensity: number;

  @Figure(1e-5, 0.1)
  testViscosity: number;

  @Figure(1, 20)
  loadedFactor: number;

  @Figure(0, 1)
  ethanolLimit: number;

  @Figure(1e3, 1e8)
  pressureRating: number;
}

export class RegulatorItemModel extends ItemModel {
  @Equals('regulator')
  category: 'regulator';

  @Figure(1e3, 5e6)
  setMin: number;

  @Figure(1e3, 5e6)
  setMax: number;

  @Figure(0, 1e11)
  slope: number;

  @Figure(1e-8, 1e-2)
  openArea: number;

  @Figure(0, 0.01)
  bypassMin: number;

  @Figure(0, 0.01)
  bypassMax: number;

  @Figure(1e3, 1e8)
  pressureRating: number;
}

export class BatteryItemModel extends WithTerminals {
  @Equals('battery')
  category: 'battery';

  @Figure(5, 60)
  openCircuitVoltage: number;

  @Figure(1e-5, 1)
  internalResistance: number;
}

export class FuseBandPointModel {
  @Figure(1, 100)
  multiple: number;

  @Figure(1e-6, 1e9)
  fastest: number;

  @Figure(1e-6, 1e9)
  slowest: number;
}

export class FuseItemModel extends WithTerminals {
  @Equals('fuse')
  category: 'fuse';

  @IsIn(['blade', 'bolt'])
  style: 'blade' | 'bolt';

  @Figure(0.1, 1000)
  rating: number;

  @ListOf(() => FuseBandPointModel, { max: 40 })
  @RisingBy('multiple')
  band: FuseBandPointModel[];
}

export class RelayItemModel extends WithTerminals {
  @Equals('relay')
  category: 'relay';

  @Figure(0.1, 1000)
  contactRating: number;

  @Figure(0, 1)
  contactResistance: number;

  @Figure(1, 10000)
  coilResistance: number;
}

export class WireItemModel extends ItemModel {
  @Equals('wire')
  category: 'wire';

  @IsIn(['metric', 'awg'])
  system: 'metric' | 'awg';

  @IsString()
  @Length(1, 20)
  size: string;

  @Figure(1e-8, 1e-3)
  area: number;

  @Figure(1e-4, 0.1)
  outsideDiameter: number;

  @Figure(1e-6, 10)
  resistancePerMetre: number;

  @Figure(320, 600)
  insulationClass: number;

  @IsIn(['cross-linked', 'pvc'])
  insulation: 'cross-linked' | 'pvc';
}

export class EcuItemModel extends WithTerminals {
  @Equals('ecu')
  category: 'ecu';

  @IsString()
  @Length(1, 20)
  pumpPin: string;

  @IsIn(['low-side', 'high-side'])
  pumpPinSide: 'low-side' | 'high-side';

  @Figure(0, 40)
  pumpPinCurrent: number;

  @IsIn(['saturated', 'peak-hold'])
  injectorDriver: 'saturated' | 'peak-hold';

  @IsInt()
  @Min(1)
  @Max(32)
  injectorOutputs: number;
}

/** Model of each catalogue category. */
export const itemModels = {
  pump: PumpItemModel,
  injector: InjectorItemModel,
  hose: HoseItemModel,
  fitting: FittingItemModel,
  filter: FilterItemModel,
  regulator: RegulatorItemModel,
  battery: BatteryItemModel,
  fuse: FuseItemModel,
  relay: RelayItemModel,
  wire: WireItemModel,
  ecu: EcuItemModel,
} satisfies Record<CatalogueItem['category'], new () => object>;
