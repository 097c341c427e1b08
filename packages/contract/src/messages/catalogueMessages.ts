import { IsObject } from 'class-validator';
import { AuthoredMessage } from './editMessages.ts';

/** Keeps a catalogue item: a new one, or the next revision of one that is there. */
export class KeepItemMessage extends AuthoredMessage {
  /** the item; its revision is given by the server */
  @IsObject({ message: 'item must be an object' })
  item: object;
}
