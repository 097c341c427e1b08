import {
  type BuildDocument,
  CURRENT_VERSION,
  type Patch,
  applyPatch,
  storedDocument,
} from '@brookrain/core';
import { legacyDocument } from '../builds/legacyHistory.ts';

/** What a document of a revision is made from, as it is stored. */
export type DocumentSource =
  | { readonly kind: 'whole'; readonly text: string; readonly isChecked: boolean }
  /** a document, and the patches that were made on it since */
  | {
      readonly kind: 'patched';
      readonly checkpoint: string;
      readonly patches: readonly string[];
      readonly formatVersion: number;
    }
  /** before format 4: a later document, and the patches to be taken back, newest first */
  | {
      readonly kind: 'legacy';
      readonly checkpoint: string;
      readonly newestFirst: readonly string[];
    };

/** The document of a revision, brought up to this format. */
export function documentAt(source: DocumentSource): BuildDocument {
  switch (source.kind) {
    case 'whole':
      return JSON.parse(source.text) as BuildDocument;
    case 'patched': {
      const { checkpoint, patches } = source;
      const then = patches.reduce(
        (document, patch) => applyPatch(document, JSON.parse(patch) as Patch),
        JSON.parse(checkpoint) as BuildDocument,
      );
      return storedDocument(then);
    }
    case 'legacy':
      return legacyDocument(source.checkpoint, source.newestFirst);
  }
}

/** Whether a document has passed the checks of this format before it was stored. */
export const isCheckedSource = (source: DocumentSource): boolean =>
  source.kind === 'whole'
    ? source.isChecked
    : source.kind === 'patched' && source.formatVersion === CURRENT_VERSION;
