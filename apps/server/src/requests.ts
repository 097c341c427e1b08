import { fileTypes } from '@brookrain/core';
import { badInput } from './errors.ts';

/** Author label of changes that name nobody. */
export const NOBODY = 'workshop';

/** A body that was sent as a file, as bytes: it is read where the work is done; 400 otherwise. */
export function fileBody(body: unknown): Uint8Array {
  if (body instanceof Uint8Array) return body;
  throw badInput([{ path: '', message: `send the file as ${fileTypes.json} or ${fileTypes.csv}` }]);
}

/** A whole number from 1 out of an address; 400 otherwise. */
export function wholeNumber(text: string, path: string): number {
  const value = Number(text);
  if (Number.isInteger(value) && value >= 1 && value < 2 ** 31) return value;
  throw badInput([{ path, message: 'must be a whole number from 1' }]);
}

/** The body of an edit, which is read where edits are made. */
export const bytesOf = (body: unknown): Uint8Array =>
  body instanceof Uint8Array ? body : new Uint8Array();
