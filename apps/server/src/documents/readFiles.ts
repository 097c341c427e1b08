import { type ImportPreview, type Issue, documentIssues, readBuildFile } from '@brookrain/contract';
import {
  type BuildDocument,
  type Catalogue,
  type CatalogueItem,
  agree,
  diffDocuments,
} from '@brookrain/core';
import { type CatalogueRow, catalogueRow } from '../catalogue/catalogueRow.ts';
import { badInput } from '../errors.ts';
import { type DocumentText, documentText, refuseTooLarge } from './documentText.ts';

/** A build file from outside that holds: its document, and its items that are not in the catalogue. */
export interface ReadDocument {
  readonly document: DocumentText;
  readonly rows: readonly CatalogueRow[];
}

const revisionKey = ({ id, revision }: CatalogueItem): string => `${id}@${revision}`;

/** Items of a file that are not in the catalogue yet. Refuses a known revision that differs. */
function newItems(items: readonly CatalogueItem[], catalogue: Catalogue): CatalogueItem[] {
  const revisions = new Map(catalogue.items.map((item) => [revisionKey(item), item]));
  const issues: Issue[] = [];
  const found = items.filter((item, i) => {
    const known = revisions.get(revisionKey(item));
    if (known && !agree(known, item)) {
      issues.push({
        path: `catalogue.${i}`,
        message: `revision ${item.revision} of "${item.id}" is already here with other data; give it another revision`,
      });
    }
    return !known;
  });
  if (issues.length > 0) throw badInput(issues.slice(0, 1));
  return found;
}

function readFile(text: string, catalogue: Catalogue) {
  const read = readBuildFile(text, catalogue);
  if (!read.ok) throw badInput(read.issues);
  return { document: read.document, items: newItems(read.items, catalogue) };
}

/** Reads a build file from outside. Throws 400 with the place of each mistake. */
export function readDocument(text: string, catalogue: Catalogue): ReadDocument {
  const { document, items } = readFile(text, catalogue);
  const written = documentText(document);
  refuseTooLarge(written);
  return { document: written, rows: items.map(catalogueRow) };
}

/** What importing a file over a build would change. */
export function importPreview(
  current: BuildDocument,
  text: string,
  catalogue: Catalogue,
): ImportPreview {
  const { document, items } = readFile(text, catalogue);
  return {
    name: document.name,
    newItems: items.map((item) => `${item.designation} (${item.id})`),
    changes: diffDocuments(current, document),
  };
}

/** A document to be kept as a new build. Throws 400 where it does not hold. */
export function newDocument(document: BuildDocument, catalogue: Catalogue): DocumentText {
  const issues = documentIssues(document, catalogue);
  if (issues.length > 0) throw badInput(issues);
  return documentText(document);
}
