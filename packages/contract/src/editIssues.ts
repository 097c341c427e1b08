import {
  type BuildDocument,
  type Catalogue,
  type Patch,
  type Path,
  type Spec,
  documentSpec,
  isItemRef,
  isKey,
  pathText,
  settledSpec,
  specAt,
  valueAt,
} from '@brookrain/core';
import { referenceIssues } from './documentIssues.ts';
import { isLeaf } from './fields/fieldProblem.ts';
import { ruleIssues, specIssues } from './fields/specIssues.ts';
import type { Issue } from './issue.ts';

/** Whether a place is declared, and is more than the kind of the object around it. */
function standsAlone(path: Path, document: BuildDocument): boolean {
  const spec = specAt(documentSpec, path, document);
  return spec !== undefined && spec.type !== 'constant';
}

/** The deepest declared place on the way to what a step touched. */
function touchedPlace(path: Path, document: BuildDocument): Path {
  let at = path;
  while (at.length > 0 && !(at.every(isKey) && standsAlone(at, document))) at = at.slice(0, -1);
  return at;
}

const at = (document: BuildDocument, path: Path): unknown =>
  path.length === 0 ? document : valueAt(document, path);

/** What is wrong with one place: itself, what it is an entry of, and rules of objects around it. */
function placeIssues(path: Path, document: BuildDocument): Issue[] {
  const issues: Issue[] = [];
  const spec = specAt(documentSpec, path, document)!;
  const present = at(document, path);
  const owner = path.slice(0, -1);
  // A grid is judged against the fields beside it, an entry against how many there may be.
  const whole = present === undefined || (isLeaf(spec) && spec.type === 'grid');
  if (whole && path.length > 0) return placeIssues(owner, document);
  issues.push(...specIssues(spec, present, pathText(path)));
  for (let depth = path.length - 1; depth >= 0 && issues.length === 0; depth--) {
    const around = path.slice(0, depth);
    const value = at(document, around);
    const declared = specAt(documentSpec, around, document);
    const settled = declared && settledSpec(declared, value);
    if (settled?.type === 'object') {
      issues.push(...ruleIssues(settled, value as object, pathText(around)));
    } else if (settled?.type === 'record') {
      const count = Object.keys(value as object).length;
      if (count < settled.min || count > settled.max) {
        const message = `must have ${settled.min} to ${settled.max} entries`;
        issues.push({ path: pathText(around), message });
      }
    }
  }
  return issues;
}

/** Fields whose value says what another part of the document is, or where it is. */
const referring: ReadonlySet<Spec['type']> = new Set(['reference', 'path', 'anything']);

/** Whether a change of a place can leave something pointing at nothing. */
function mayBreakReferences(path: Path, document: BuildDocument): boolean {
  const spec = specAt(documentSpec, path, document);
  const owner = specAt(documentSpec, path.slice(0, -1), document);
  const settled = owner && settledSpec(owner, at(document, path.slice(0, -1)));
  if (!spec || !settled || at(document, path) === undefined) return true;
  return !isLeaf(spec) || referring.has(spec.type) || isItemRef(settled);
}

/**
 * Everything wrong with a document that was sound before an edit: only what the edit touched is
 * checked against its declaration, and then, where it can have broken any, what refers to what.
 * Empty when it may be kept.
 */
export function editIssues(document: BuildDocument, patch: Patch, catalogue: Catalogue): Issue[] {
  const places = new Map<string, Path>();
  for (const { path } of patch) {
    const place = touchedPlace(path, document);
    places.set(pathText(place), place);
  }
  const touched = [...places.values()];
  const found = touched.flatMap((place) => placeIssues(place, document));
  const issues = [...new Map(found.map((i) => [`${i.path} ${i.message}`, i])).values()];
  if (issues.length > 0) return issues;
  return touched.some((place) => mayBreakReferences(place, document))
    ? referenceIssues(document, catalogue)
    : [];
}
