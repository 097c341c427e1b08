import {
  type Acceptance,
  type BuildDocument,
  type DemandChoiceName,
  type Quantity,
  type Staging,
  type UnitSystem,
  type Zone,
  demandChoices,
  unitSystems,
  zones,
} from '@brookrain/core';
import {
  Equals,
  IsDefined,
  IsISO8601,
  IsIn,
  IsInt,
  IsNumber,
  IsString,
  Length,
  Max,
  MaxLength,
  Min,
  ValidateBy,
  ValidateIf,
} from 'class-validator';
import { EachQuantityOf, QuantityOf } from '../quantityOf.ts';
import { BriefModel } from './briefModel.ts';
import { FuelCircuitModel } from './circuitModels.ts';
import { MethanolModel, PetrolEthanolModel } from './fuelModels.ts';
import { ItemRefModel } from './itemRefModel.ts';
import { ListOf, ListOfKinds, Nested, NestedOrNull } from './nested.ts';
import { LimitsModel, PowerModel } from './powerModels.ts';

/** A text of at least three letters unless another field has the value that needs none. */
function ReasonUnless(field: string, value: string, message: string): PropertyDecorator {
  return ValidateBy({
    name: 'reasonUnless',
    validator: {
      validate: (reason: unknown, args) =>
        (args?.object as Record<string, unknown>)[field] === value ||
        (typeof reason === 'string' && reason.trim().length >= 3),
      defaultMessage: () => message,
    },
  });
}

export class DemandChoiceModel {
  @IsIn(demandChoices)
  school: DemandChoiceName;

  @IsString()
  @MaxLength(500)
  @ReasonUnless('school', 'larger', 'say why this school is picked (at least 3 letters)')
  reason: string;
}

export class StagingModel implements Staging {
  @QuantityOf('ratio', { min: 0, max: 1, message: 'duty must be from 0 to 100 %' })
  aboveDuty: Quantity;

  @QuantityOf('ratio', {
    min: 0,
    max: 1,
    above: true,
    message: 'blend must be above 0, up to 100 % of duty',
  })
  blend: Quantity;
}

export class InjectorRowModel {
  @IsString()
  @Length(1, 40)
  id: string;

  @IsString()
  @Length(1, 80)
  name: string;

  @IsString()
  circuitId: string;

  @Nested(() => ItemRefModel)
  item: ItemRefModel;

  @IsInt({ message: 'the number of injectors must be a whole number' })
  @Min(1)
  @Max(32)
  count: number;

  @IsInt()
  @Min(1)
  @Max(8)
  shotsPerCycle: number;

  @QuantityOf('ratio', {
    min: 0,
    max: 1,
    above: true,
    message: 'share of air must be above 0, up to 100 %',
  })
  airShare: Quantity;

  @NestedOrNull(() => StagingModel)
  staging: StagingModel | null;

  @QuantityOf('resistance', {
    min: 0,
    max: 50,
    above: true,
    optional: true,
    message: 'ballast must be above 0, up to 50 Ω',
  })
  ballast: Quantity | null;

  @EachQuantityOf('volumeFlow', {
    min: 0,
    max: 1e-3,
    above: true,
    most: 32,
    message: 'a measured flow must be above 0, up to 60 000 cc/min',
  })
  measuredFlows: Quantity[];
}

const position = { min: -30, max: 30, message: 'a place must be within 30 m' };

export class PlacementModel {
  @IsString()
  @Length(1, 40)
  id: string;

  @IsString()
  @Length(1, 80)
  name: string;

  @QuantityOf('length', position)
  x: Quantity;

  @QuantityOf('length', position)
  y: Quantity;

  @QuantityOf('length', position)
  z: Quantity;

  @IsIn(zones)
  zone: Zone;
}

export class PathValueModel {
  @IsString()
  @Length(1, 200)
  path: string;

  @IsDefined()
  value: unknown;
}

export class AlternativeModel {
  @IsString()
  @Length(1, 40)
  id: string;

  @IsString()
  @Length(1, 80)
  name: string;

  @IsString()
  @MaxLength(500)
  reason: string;

  @ListOf(() => PathValueModel, { max: 40 })
  values: PathValueModel[];
}

export class OptionModel {
  @IsString()
  @Length(1, 40)
  id: string;

  @IsString()
  @Length(1, 80)
  title: string;

  @IsString()
  chosen: string;

  @ListOf(() => AlternativeModel, { min: 1, max: 10 })
  alternatives: AlternativeModel[];
}

export class AcceptanceModel implements Acceptance {
  @IsString()
  @Length(1, 160)
  findingId: string;

  @IsString()
  @Length(1, 200)
  title: string;

  @IsString()
  @Length(3, 500, { message: 'say why it is accepted (at least 3 letters)' })
  reason: string;

  @IsString()
  @Length(1, 60)
  author: string;

  @IsISO8601({ strict: true }, { message: 'must be a date and time (ISO 8601)' })
  @MaxLength(40)
  time: string;

  @ValidateIf((_owner, value: unknown) => value !== null)
  @IsNumber({ allowNaN: false, allowInfinity: false })
  measured: number | null;
}

export const fuelModels = { 'petrol-ethanol': PetrolEthanolModel, methanol: MethanolModel };

/** A whole build document, version 3. */
export class DocumentModel implements BuildDocument {
  @Equals('brookrain-build')
  format: 'brookrain-build';

  @Equals(3)
  version: 3;

  @IsString()
  @Length(1, 80, { message: 'a build needs a name of 1 to 80 letters' })
  name: string;

  @IsString()
  @MaxLength(2000)
  description: string;

  @Nested(() => BriefModel)
  brief: BriefModel;

  @Nested(() => DemandChoiceModel)
  demand: DemandChoiceModel;

  @ListOfKinds('kind', fuelModels, { min: 1, max: 6 })
  fuels: (PetrolEthanolModel | MethanolModel)[];

  @ListOf(() => FuelCircuitModel, { min: 1, max: 4 })
  fuelCircuits: FuelCircuitModel[];

  @ListOf(() => InjectorRowModel, { min: 1, max: 8 })
  injectorRows: InjectorRowModel[];

  @ListOf(() => PlacementModel, { min: 1, max: 500 })
  placements: PlacementModel[];

  @Nested(() => PowerModel)
  power: PowerModel;

  @Nested(() => LimitsModel)
  limits: LimitsModel;

  @ListOf(() => OptionModel, { max: 40 })
  options: OptionModel[];

  @ListOf(() => AcceptanceModel, { max: 400 })
  acceptances: AcceptanceModel[];

  @ListOf(() => ItemRefModel, { max: 200 })
  shelf: ItemRefModel[];

  @ValidateIf((_owner, value: unknown) => value !== null)
  @IsIn(unitSystems)
  displayUnits: UnitSystem | null;
}
