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
import { MOST_ISSUES, countProblem, ruleIssues, specIssues } from './fields/specIssues.ts';
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

const keyOf = (path: Path): string => JSON.stringify(path);

const settledAt = (path: Path, document: BuildDocument): Spec | undefined => {
  const spec = specAt(documentSpec, path, document);
  return spec && settledSpec(spec, at(document, path));
};

/** What of a document has to be checked after a patch, each place once. */
interface PlacesToCheck {
  /** checked whole, none of them within another */
  readonly whole: readonly Path[];
  /** objects and collections around those, deepest first: their rules and numbers of entries */
  readonly around: readonly Path[];
}

/**
 * Smallest place that is checked whole for a touched one; undefined where only the number of entries
 * around it can be wrong. What is judged by the fields beside it, and what was removed from an object,
 * is checked with its owner.
 */
function wholePlace(touched: Path, document: BuildDocument): Path | undefined {
  let path = touched;
  while (path.length > 0) {
    const owner = path.slice(0, -1);
    const spec = specAt(documentSpec, path, document);
    const isGone = at(document, path) === undefined;
    if (isGone && settledAt(owner, document)?.type === 'record') return undefined;
    if (!isGone && spec && !(isLeaf(spec) && spec.type === 'grid')) break;
    path = owner;
  }
  return path;
}

function placesToCheck(touched: readonly Path[], document: BuildDocument): PlacesToCheck {
  const whole = new Map<string, Path>();
  const around = new Map<string, Path>();
  for (const path of touched) {
    const place = wholePlace(path, document);
    if (place) whole.set(keyOf(place), place);
    for (let depth = (place ?? path).length - 1; depth >= 0; depth--) {
      const owner = path.slice(0, depth);
      around.set(keyOf(owner), owner);
    }
  }
  const isWithin = (path: Path): boolean =>
    path.some((_, depth) => whole.has(keyOf(path.slice(0, depth))));
  return {
    whole: [...whole.values()].filter((path) => !isWithin(path)),
    around: [...around.values()]
      .filter((path) => !whole.has(keyOf(path)) && !isWithin(path))
      .sort((a, b) => b.length - a.length),
  };
}

/** Collections around a change that hold too many or too few entries: counted before they are read. */
function countIssues({ around }: PlacesToCheck, document: BuildDocument): Issue[] {
  return around.flatMap((path) => {
    const spec = settledAt(path, document);
    if (spec?.type !== 'record') return [];
    const message = countProblem(Object.keys(at(document, path) as object).length, spec);
    return message === undefined ? [] : [{ path: pathText(path), message }];
  });
}

function fieldIssues({ whole }: PlacesToCheck, document: BuildDocument): Issue[] {
  const issues: Issue[] = [];
  for (const path of whole) {
    if (issues.length >= MOST_ISSUES) break;
    const spec = specAt(documentSpec, path, document)!;
    issues.push(...specIssues(spec, at(document, path), pathText(path)));
  }
  return issues.slice(0, MOST_ISSUES);
}

/** What does not hold between the fields of the objects around a change, from the inside out. */
function issuesAround({ around }: PlacesToCheck, document: BuildDocument): Issue[] {
  for (const path of around) {
    const spec = settledAt(path, document);
    const issues =
      spec?.type === 'object' ? ruleIssues(spec, at(document, path) as object, pathText(path)) : [];
    if (issues.length > 0) return issues;
  }
  return [];
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
 * What is wrong with a document that was sound before an edit, at most {@link MOST_ISSUES} places of
 * it: only what the edit touched is checked against its declaration, each place once, and then, where
 * it can have broken any, what refers to what. Empty when it may be kept.
 */
export function editIssues(document: BuildDocument, patch: Patch, catalogue: Catalogue): Issue[] {
  const places = new Map<string, Path>();
  for (const { path } of patch) {
    const place = touchedPlace(path, document);
    places.set(keyOf(place), place);
  }
  const touched = [...places.values()];
  const checked = placesToCheck(touched, document);
  for (const find of [countIssues, fieldIssues, issuesAround]) {
    const issues = find(checked, document);
    if (issues.length > 0) return issues;
  }
  return touched.some((place) => mayBreakReferences(place, document))
    ? referenceIssues(document, catalogue)
    : [];
}
