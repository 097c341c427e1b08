import type { Path } from '../model/index.ts';

/** A numeric leaf of plain data with the keys that lead to it. */
export interface NumericLeaf {
  readonly path: Path;
  readonly value: number;
}

/** What a path leads to in any entry of its collections: entries share their fields. */
const fieldOf = (path: Path): string =>
  path
    .filter((key) => key !== 'value' && /^[a-zA-Z]+$/.test(key))
    .slice(-3)
    .join('.');

/** Of fields that stand many times over in a large build the first few. */
export function firstOfEach<Leaf extends { readonly path: Path }>(
  leaves: readonly Leaf[],
  most: number,
): Leaf[] {
  const seen = new Map<string, number>();
  return leaves.filter(({ path }) => {
    const field = fieldOf(path);
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
