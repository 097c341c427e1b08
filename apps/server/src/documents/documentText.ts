import type { BuildDocument } from '@brookrain/core';
import { documentHash } from '../storage/documentHash.ts';

/** A document as it is stored and sent, with what is known of it without reading it. */
export interface DocumentText {
  readonly text: string;
  readonly hash: string;
  readonly name: string;
  readonly description: string;
  readonly version: number;
}

/** Writes a document out, once for storage and replies. */
export const documentText = (document: BuildDocument): DocumentText => ({
  text: JSON.stringify(document),
  hash: documentHash(document),
  name: document.name,
  description: document.description,
  version: document.version,
});
