import {
  type Aspiration,
  type Fuel,
  type PumpElement,
  type Quantity,
  type StartAnswers,
  type VehicleUse,
  aspirations,
  vehicleUses,
} from '@brookrain/core';
import {
  IsBoolean,
  IsIn,
  IsInt,
  IsOptional,
  IsString,
  Length,
  Max,
  MaxLength,
  Min,
} from 'class-validator';
import { briefRules } from '../document/briefModel.ts';
import { SpeedAbove } from '../document/speedRules.ts';
import { QuantityOf } from '../quantityOf.ts';
import { AuthoredMessage } from './editMessages.ts';

/** Copies a build, or branches off from one of its revisions. */
export class CopyMessage extends AuthoredMessage {
  /** name of the new build */
  @IsString()
  @Length(1, 80, { message: 'a build needs a name of 1 to 80 letters' })
  name: string;

  /** revision to branch off from; the newest when left out */
  @IsOptional()
  @IsInt()
  @Min(1)
  revision?: number;
}

/** Puts a build away, or takes it out again. */
export class ArchiveMessage {
  /** true puts it away */
  @IsBoolean()
  archived: boolean;
}

/** Answers of the guided start of a new build. */
export class StartMessage extends AuthoredMessage implements StartAnswers {
  /** name of the new build */
  @IsString()
  @Length(1, 80, { message: 'a build needs a name of 1 to 80 letters' })
  name: string;

  /** the vehicle in words */
  @IsString()
  @MaxLength(200)
  vehicle: string;

  /** the engine in words */
  @IsString()
  @MaxLength(200)
  engine: string;

  /** what the vehicle is used for */
  @IsIn(vehicleUses)
  use: VehicleUse;

  /** engine displacement */
  @QuantityOf('volume', briefRules.displacement)
  displacement: Quantity;

  /** number of cylinders */
  @IsInt({ message: 'the number of cylinders must be a whole number' })
  @Min(1)
  @Max(16)
  cylinders: number;

  /** how the engine breathes */
  @IsIn(aspirations)
  aspiration: Aspiration;

  /** boost, gauge; 0 for a natural engine */
  @QuantityOf('pressure', briefRules.boost)
  boost: Quantity;

  /** power target */
  @QuantityOf('power', briefRules.power)
  power: Quantity;

  /** engine speed of the power target */
  @QuantityOf('rotation', briefRules.speed)
  powerSpeed: Quantity;

  /** highest engine speed */
  @QuantityOf('rotation', briefRules.speed)
  @SpeedAbove('powerSpeed', {
    orEqual: true,
    message: 'the limiter must not be below the power speed',
  })
  limiterSpeed: Quantity;

  /** fuel of the first circuit */
  @IsIn(['petrol-ethanol', 'methanol'])
  fuelKind: Fuel['kind'];

  /** ethanol by volume; of no account for methanol */
  @QuantityOf('ratio', { min: 0, max: 1, message: 'ethanol must be between 0 and 100 %' })
  ethanol: Quantity;

  /** where the pump goes */
  @IsIn(['in-tank', 'external'])
  pumpMounting: PumpElement['mounting'];

  /** length of the fuel run from tank to engine */
  @QuantityOf('length', {
    min: 0.2,
    max: 20,
    message: 'the run from tank to engine must be from 0.2 to 20 m',
  })
  runLength: Quantity;
}
