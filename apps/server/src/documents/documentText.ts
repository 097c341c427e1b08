import type { BuildDocument } from '@brookrain/core';
import { badInput } from '../errors.ts';
import { documentHash } from '../storage/documentHash.ts';

/** A document as it is stored and sent, with what is known of it without reading it. */
export interface DocumentText {
  readonly text: string;
  readonly hash: string;
  readonly name: string;
  readonly description: string;
  readonly version: number;
}

/** Letters that a build may have as JSON: some fifteen times the largest demo. */
export const MOST_OF_A_BUILD = 2_000_000;

/**
 * Refuses a document that is too large to be kept; one that is so already may only become smaller.
 * `before`: letters that it had.
 */
export function refuseTooLarge({ text }: DocumentText, before = 0): void {
  if (text.length <= Math.max(MOST_OF_A_BUILD, before)) return;
  const message = `the build would be larger than ${MOST_OF_A_BUILD / 1e6} MB: remove what is not needed, or divide it into two builds`;
  throw badInput([{ path: '', message }]);
}

/** Writes a document out, once for storage and replies. */
export const documentText = (document: BuildDocument): DocumentText => ({
  text: JSON.stringify(document),
  hash: documentHash(document),
  name: document.name,
  description: document.description,
  version: document.version,
});
