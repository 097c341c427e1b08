import { type RecordKind, type RecordSaid, recordKinds } from '@brookrain/core';
import {
  ArrayMaxSize,
  IsArray,
  IsIn,
  IsISO8601,
  IsInt,
  IsObject,
  IsOptional,
  IsString,
  Length,
  Min,
  ValidateNested,
} from 'class-validator';
import { IsPlainText } from '../fields/hiddenCharacters.ts';
import { AuthoredMessage } from './editMessages.ts';

/** Something that happened to a build, as it is sent. */
export class RecordEntryMessage extends AuthoredMessage {
  /** made by the sender; the same entry sent again with the same id is kept once */
  @IsString()
  @Length(8, 64)
  id: string;

  /** what it is */
  @IsIn(recordKinds)
  kind: RecordKind;

  /** what it is about */
  @IsString()
  @Length(1, 240)
  @IsPlainText()
  subject: string;

  /** what it says: words, numbers, yes and no */
  @IsObject()
  said: RecordSaid;

  /** the entry that it puts right or takes back */
  @IsOptional()
  @IsString()
  @Length(8, 64)
  corrects?: string | null;

  /** revision of the build that it was made against */
  @IsInt()
  @Min(1)
  revision: number;

  /** when it was made, ISO 8601 */
  @IsISO8601()
  time: string;
}

/** So many entries are sent at once. */
export const ENTRIES_AT_ONCE = 100;

/** Entries in the order in which they were made. */
export class RecordMessage {
  @IsArray()
  @ArrayMaxSize(ENTRIES_AT_ONCE)
  @ValidateNested({ each: true })
  entries: RecordEntryMessage[];
}
