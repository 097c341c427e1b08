import {
  type Aspiration,
  type Quantity,
  type StartAnswers,
  type VehicleUse,
  startSpec,
} from '@brookrain/core';
import { IsBoolean, IsInt, IsOptional, IsString, Length, Min } from 'class-validator';
import { IsPlainText } from '../fields/hiddenCharacters.ts';
import { FieldOf } from '../fields/fieldOf.ts';
import { AuthoredMessage } from './editMessages.ts';

/** Copies a build, or branches off from one of its revisions. */
export class CopyMessage extends AuthoredMessage {
  /** name of the new build */
  @IsString()
  @Length(1, 80, { message: 'a build needs a name of 1 to 80 letters' })
  @IsPlainText()
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
  @FieldOf(startSpec, 'name')
  name: string;

  /** the vehicle in words */
  @FieldOf(startSpec, 'vehicle')
  vehicle: string;

  /** the engine in words */
  @FieldOf(startSpec, 'engine')
  engine: string;

  /** what the vehicle is used for */
  @FieldOf(startSpec, 'use')
  use: VehicleUse;

  /** engine displacement */
  @FieldOf(startSpec, 'displacement')
  displacement: Quantity;

  /** number of cylinders */
  @FieldOf(startSpec, 'cylinders')
  cylinders: number;

  /** how the engine breathes */
  @FieldOf(startSpec, 'aspiration')
  aspiration: Aspiration;

  /** boost, gauge; 0 for a natural engine */
  @FieldOf(startSpec, 'boost')
  boost: Quantity;

  /** power target */
  @FieldOf(startSpec, 'power')
  power: Quantity;

  /** engine speed of the power target */
  @FieldOf(startSpec, 'powerSpeed')
  powerSpeed: Quantity;

  /** highest engine speed */
  @FieldOf(startSpec, 'limiterSpeed')
  limiterSpeed: Quantity;

  /** fuel of the first circuit */
  @FieldOf(startSpec, 'fuelKind')
  fuelKind: 'petrol-ethanol' | 'methanol';

  /** ethanol by volume; of no account for methanol */
  @FieldOf(startSpec, 'ethanol')
  ethanol: Quantity;

  /** where the pump goes */
  @FieldOf(startSpec, 'pumpMounting')
  pumpMounting: 'in-tank' | 'external';

  /** length of the fuel run from tank to engine */
  @FieldOf(startSpec, 'runLength')
  runLength: Quantity;
}
