import { IsPlainText } from '../fields/hiddenCharacters.ts';
import { IsInt, IsObject, IsOptional, IsString, Length, MaxLength, Min } from 'class-validator';

/** Who makes a change: a label that the history shows. */
export abstract class AuthoredMessage {
  /** label of the person, shown in the history */
  @IsOptional()
  @IsString()
  @MaxLength(60)
  @IsPlainText()
  author?: string;
}

/** A change of a build that starts from a revision the sender saw. */
export abstract class ChangeMessage extends AuthoredMessage {
  /** revision the change started from; another one in between is answered with 409 */
  @IsInt({ message: 'baseRevision must be the revision the edit started from' })
  @Min(1)
  baseRevision: number;

  /** generation of the data that the revision was read from, as replies tell it; after a restore an edit without it, or with another, is answered with 409 */
  @IsOptional()
  @IsString()
  @Length(1, 64)
  generation?: string;

  /** made by the sender; the same change sent again with the same id is made once */
  @IsOptional()
  @IsString()
  @Length(8, 64)
  editId?: string;
}

/** An edit: one command. */
export class EditMessage extends ChangeMessage {
  /** one of the product's commands */
  @IsObject({ message: 'command must be an object' })
  command: object;
}

/** Undo or redo. */
export class StepMessage extends ChangeMessage {}

/** Makes a build what it was at an earlier revision, as a new revision. */
export class GoBackMessage extends ChangeMessage {
  /** revision to go back to */
  @IsInt()
  @Min(1)
  revision: number;
}
