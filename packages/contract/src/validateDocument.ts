import {
  type BuildDocument,
  type BuildFile,
  type Catalogue,
  type CatalogueItem,
  CURRENT_VERSION,
  migrateDocument,
  referenceProblems,
} from '@brookrain/core';
import { plainToInstance } from 'class-transformer';
import { validateSync } from 'class-validator';
import { itemModels } from './catalogue/itemModels.ts';
import { DocumentModel } from './document/documentModel.ts';
import { type Issue, issuesOf } from './issue.ts';
import { parseSafeJson } from './safeJson.ts';

const strict = { whitelist: true, forbidNonWhitelisted: true, forbidUnknownValues: true } as const;

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** The first empty entry of a list: nothing here has lists with holes. */
function emptyEntry(value: unknown, path: string): Issue | undefined {
  if (typeof value !== 'object' || value === null) return undefined;
  for (const [key, entry] of Object.entries(value)) {
    const at = path === '' ? key : `${path}.${key}`;
    if (entry === null && Array.isArray(value)) return { path: at, message: 'must not be empty' };
    const deeper = emptyEntry(entry, at);
    if (deeper) return deeper;
  }
  return undefined;
}

/** Checks plain data against a model class; unknown fields are refused. */
export function issuesAgainst(model: new () => object, value: unknown, prefix = ''): Issue[] {
  if (!isRecord(value)) return [{ path: prefix, message: 'must be an object' }];
  const empty = emptyEntry(value, prefix);
  if (empty) return [empty];
  return issuesOf(validateSync(plainToInstance(model, value), strict), prefix);
}

/** Everything wrong with a document; empty when it may be kept. */
export function documentIssues(value: unknown, catalogue: Catalogue): Issue[] {
  if (!isRecord(value)) return [{ path: '', message: 'this is not a build' }];
  if (value['format'] !== 'brookrain-build') {
    return [{ path: 'format', message: 'this is not a Brookrain build file' }];
  }
  if (value['version'] !== CURRENT_VERSION) {
    return [
      {
        path: 'version',
        message: `version ${String(value['version']).slice(0, 20)} is not known here; this program reads versions 1 to ${CURRENT_VERSION}`,
      },
    ];
  }
  const issues = issuesAgainst(DocumentModel, value);
  return issues.length > 0
    ? issues
    : referenceProblems(value as unknown as BuildDocument, catalogue);
}

/** Everything wrong with one catalogue item. */
export function itemIssues(value: unknown, prefix: string): Issue[] {
  const category = isRecord(value) ? value['category'] : undefined;
  if (typeof category !== 'string' || !Object.hasOwn(itemModels, category)) {
    return [
      {
        path: `${prefix}.category`,
        message: `must be one of ${Object.keys(itemModels).join(', ')}`,
      },
    ];
  }
  return issuesAgainst(itemModels[category as CatalogueItem['category']], value, prefix);
}

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
  if (!isRecord(parsed.value)) {
    return { ok: false, issues: [{ path: '', message: 'this is not a build' }] };
  }
  const { catalogue: embedded, ...stored } = parsed.value as unknown as BuildFile;
  const document = migrateDocument(stored) as Omit<BuildFile, 'catalogue'>;
  if (embedded !== undefined && !Array.isArray(embedded)) {
    return { ok: false, issues: [{ path: 'catalogue', message: 'must be a list of items' }] };
  }
  const items = embedded ?? [];
  if (items.length > 2000) {
    return { ok: false, issues: [{ path: 'catalogue', message: 'at most 2 000 items' }] };
  }
  const wrongItems = items.flatMap((item, i) => itemIssues(item, `catalogue.${i}`));
  if (wrongItems.length > 0) return { ok: false, issues: wrongItems };
  const issues = documentIssues(document, { items: [...items, ...known.items] });
  return issues.length > 0 ? { ok: false, issues } : { ok: true, document, items };
}
