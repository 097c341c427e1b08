import { isRecord } from '../numerics/index.ts';
import { type BuildDocument, documentSpec } from './document.ts';
import type { Path } from './path.ts';
import type { ObjectSpec, RecordSpec, Spec } from './spec.ts';
import { isItemRef, settledSpec } from './specAt.ts';
import { stableJson } from './stableJson.ts';

/** One field or entry that differs between two documents; undefined where one has nothing. */
export interface DocumentDifference {
  readonly path: Path;
  readonly before: unknown;
  readonly after: unknown;
}

/** What both values are by their declaration; undefined where they are told whole. */
function sharedSpec(spec: Spec, a: unknown, b: unknown): ObjectSpec | RecordSpec | undefined {
  const settled = settledSpec(spec, a);
  if (!settled || settled !== settledSpec(spec, b) || isItemRef(settled)) return undefined;
  return settled.type === 'object' || settled.type === 'record' ? settled : undefined;
}

/** Every field in which two documents differ, entries of collections by their ids. */
export function diffDocuments(before: BuildDocument, after: BuildDocument): DocumentDifference[] {
  const found: DocumentDifference[] = [];
  const walk = (spec: Spec, a: unknown, b: unknown, path: Path): void => {
    if (a === b) return;
    const shared = sharedSpec(spec, a, b);
    if (!shared || !isRecord(a) || !isRecord(b)) {
      if (stableJson(a) !== stableJson(b)) found.push({ path, before: a, after: b });
      return;
    }
    for (const key of new Set([...Object.keys(a), ...Object.keys(b)])) {
      const field = shared.type === 'object' ? shared.fields[key] : shared.of;
      if (field) walk(field, a[key], b[key], [...path, key]);
    }
  };
  walk(documentSpec, before, after, []);
  return found;
}
