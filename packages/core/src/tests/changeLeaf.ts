import {
  type BuildDocument,
  type Path,
  type Spec,
  documentSpec,
  settledSpec,
  specAt,
  valueAt,
} from '../model/index.ts';

/** A numeric leaf of plain data with the keys that lead to it. */
export interface NumericLeaf {
  readonly path: Path;
  readonly value: number;
}

/** The declared field that a path leads to, whichever entry of its collections it is of. */
export function fieldOf(document: BuildDocument, path: Path): string {
  let spec: Spec | undefined = documentSpec;
  let at: unknown = document;
  const names: string[] = [];
  for (const key of path) {
    if (spec?.type === 'kinds') names.push(`{${String(valueAt(at, [spec.by]))}}`);
    const settled: Spec | undefined = spec && settledSpec(spec, at);
    const isEntry = settled?.type === 'record' || settled?.type === 'list';
    names.push(isEntry ? '*' : key);
    spec = settled && specAt(settled, [key], at);
    at = valueAt(at, [key]);
  }
  return names.join('.');
}

/** Of fields that stand many times over in a build the first few. */
export function firstOfEach<Leaf extends { readonly path: Path }>(
  document: BuildDocument,
  leaves: readonly Leaf[],
  most: number,
): Leaf[] {
  const seen = new Map<string, number>();
  return leaves.filter(({ path }) => {
    const field = fieldOf(document, path);
    seen.set(field, (seen.get(field) ?? 0) + 1);
    return seen.get(field)! <= most;
  });
}

/** Every number in plain data, with the keys that lead to it. */
export function numericLeaves(root: unknown, path: Path = []): NumericLeaf[] {
  if (typeof root === 'number') return [{ path, value: root }];
  if (typeof root !== 'object' || root === null) return [];
  return Object.entries(root).flatMap(([key, value]) => numericLeaves(value, [...path, key]));
}
