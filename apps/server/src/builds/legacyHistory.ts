import { type BuildDocument, storedDocument, withValueAt } from '@brookrain/core';

/** A replaced value as revisions before format 4 kept it: positions in lists as keys. */
interface LegacyStep {
  readonly path: string;
  readonly before: unknown;
  readonly after: unknown;
}

/**
 * A document of an older format as it stood before some of its revisions: their patches are taken
 * back from the newest on, in the older format, and the result is brought up to date.
 */
export function legacyDocument(checkpoint: string, newestFirst: readonly string[]): BuildDocument {
  let document: unknown = JSON.parse(checkpoint);
  for (const patch of newestFirst) {
    for (const step of (JSON.parse(patch) as LegacyStep[]).reverse()) {
      document = step.path === '' ? step.before : withValueAt(document, step.path, step.before);
    }
  }
  return storedDocument(document);
}
