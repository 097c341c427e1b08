import { lastOf, isRecord } from '../numerics/index.ts';
import { Immer, type Draft, enablePatches } from 'immer';
import { BadInput } from '../quantities/index.ts';
import { type BuildDocument, documentSpec } from './document.ts';
import { type Path, checkPath, pathText } from './path.ts';
import { specAt } from './specAt.ts';

enablePatches();
// Documents are read far more often than edited; types keep them from being written to.
const immer = new Immer({ autoFreeze: false });

/** One step of a patch: a value put in, replaced or taken out at a path. */
export interface PatchStep {
  readonly op: 'add' | 'replace' | 'remove';
  readonly path: Path;
  readonly value?: unknown;
}
/** What an edit changed, and nothing else. */
export type Patch = readonly PatchStep[];

/** A document that is being edited. */
export type DocumentDraft = Draft<BuildDocument>;

/** A document after an edit, what changed, and what takes it back. */
export interface Edited {
  readonly document: BuildDocument;
  readonly patch: Patch;
  readonly inverse: Patch;
}

const asSteps = (patches: readonly { op: string; path: (string | number)[]; value?: unknown }[]) =>
  patches.map(({ op, path, value }): PatchStep => ({
    op: op as PatchStep['op'],
    path: path.map(String),
    ...(op === 'remove' ? {} : { value }),
  }));

/** Runs one recipe on a document. The same object comes back when nothing changed. */
export function editDocument(
  document: BuildDocument,
  recipe: (draft: DocumentDraft) => void,
): Edited {
  const [next, patch, inverse] = immer.produceWithPatches(document, (draft) => {
    recipe(draft);
  });
  return { document: next, patch: asSteps(patch), inverse: asSteps(inverse) };
}

/** A document with a patch made on it. Throws BadInput where it does not fit. */
export function applyPatch(document: BuildDocument, patch: Patch): BuildDocument {
  for (const { path } of patch) if (path.length > 0) checkPath(path);
  try {
    return immer.applyPatches(
      document,
      patch.map((step) => ({ ...step, path: [...step.path] })),
    );
  } catch (cause) {
    throw new BadInput('these changes do not fit this build', (cause as Error).message);
  }
}

const sameValue = (a: unknown, b: unknown): boolean =>
  a === b ||
  (Array.isArray(a) &&
    Array.isArray(b) &&
    a.length === b.length &&
    a.every((entry, i) => sameValue(entry, b[i]))) ||
  (isRecord(a) &&
    isRecord(b) &&
    Object.keys(a).length === Object.keys(b).length &&
    Object.keys(a).every((key) => Object.hasOwn(b, key) && sameValue(a[key], b[key])));

/** Makes a draft equal to a value, touching only what differs. */
export function mergeInto(draft: object, target: object): void {
  const into = draft as Record<string, unknown>;
  const from = target as Record<string, unknown>;
  for (const key of Object.keys(into)) if (!Object.hasOwn(from, key)) delete into[key];
  for (const [key, value] of Object.entries(from)) {
    const present = into[key];
    if (isRecord(present) && isRecord(value)) mergeInto(present, value);
    else if (!Object.hasOwn(into, key) || !sameValue(present, value)) into[key] = value;
  }
}

/**
 * Puts a value at a path of a draft: a field that is declared there, or an entry of a collection.
 * Throws BadInput where nothing may stand.
 */
export function putAt(draft: DocumentDraft, path: Path, value: unknown): void {
  checkPath(path);
  const spec = specAt(documentSpec, path, draft);
  const last = lastOf(path);
  let owner: unknown = draft;
  for (const key of path.slice(0, -1)) {
    owner = isRecord(owner) && Object.hasOwn(owner, key) ? owner[key] : undefined;
  }
  const known = isRecord(owner) && Object.hasOwn(owner, last);
  const entry = specAt(documentSpec, path.slice(0, -1), draft)?.type === 'record';
  if (!isRecord(owner) || (!known && !(spec && entry))) {
    throw new BadInput(`there is nothing at "${pathText(path)}" in this build`, pathText(path));
  }
  const present = owner[last];
  if (isRecord(present) && isRecord(value) && spec?.type !== 'kinds') mergeInto(present, value);
  else if (!known || !sameValue(present, value)) owner[last] = value;
}

/** Takes an entry out of a collection. Throws BadInput where there is none. */
export function removeAt(draft: DocumentDraft, path: Path): void {
  checkPath(path);
  const last = lastOf(path);
  let owner: unknown = draft;
  for (const key of path.slice(0, -1)) {
    owner = isRecord(owner) && Object.hasOwn(owner, key) ? owner[key] : undefined;
  }
  const collection = specAt(documentSpec, path.slice(0, -1), draft)?.type === 'record';
  if (!collection || !isRecord(owner) || !Object.hasOwn(owner, last)) {
    throw new BadInput(`there is no entry at "${pathText(path)}" in this build`, pathText(path));
  }
  delete owner[last];
}
