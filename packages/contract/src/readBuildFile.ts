import {
  type BuildDocument,
  type BuildFile,
  type Catalogue,
  type CatalogueItem,
  migrateDocument,
  migrateItem,
} from '@brookrain/core';
import { documentIssues } from './documentIssues.ts';
import type { Issue } from './issue.ts';
import { itemIssues } from './itemIssues.ts';
import { parseSafeJson } from './safeJson.ts';

export type ReadBuildFile =
  | {
      readonly ok: true;
      readonly document: BuildDocument;
      readonly items: readonly CatalogueItem[];
    }
  | { readonly ok: false; readonly issues: readonly Issue[] };

/**
 * Reads a build file from outside. Items embedded in it are checked too and are looked up before
 * those of `known`. Nothing is returned unless all of it holds.
 */
export function readBuildFile(text: string, known: Catalogue): ReadBuildFile {
  const parsed = parseSafeJson(text);
  if (!parsed.ok) return parsed;
  const { value } = parsed;
  if (typeof value !== 'object' || value === null || Array.isArray(value)) {
    return { ok: false, issues: [{ path: '', message: 'this is not a build' }] };
  }
  const { catalogue: embedded, ...stored } = value as BuildFile;
  if (embedded !== undefined && !Array.isArray(embedded)) {
    return { ok: false, issues: [{ path: 'catalogue', message: 'must be a list of items' }] };
  }
  if ((embedded ?? []).length > 2000) {
    return { ok: false, issues: [{ path: 'catalogue', message: 'at most 2 000 items' }] };
  }
  const items = (embedded ?? []).map(migrateItem) as CatalogueItem[];
  const wrongItems = items.flatMap((item, i) => itemIssues(item, `catalogue.${i}`));
  if (wrongItems.length > 0) return { ok: false, issues: wrongItems };
  const document = migrateDocument(stored);
  const issues = documentIssues(document, { items: [...items, ...known.items] });
  return issues.length > 0
    ? { ok: false, issues }
    : { ok: true, document: document as BuildDocument, items };
}
