import type { Path } from '../model/index.ts';

/** A numeric leaf of plain data with the keys that lead to it. */
export interface NumericLeaf {
  readonly path: Path;
  readonly value: number;
}

/** Every number in plain data, with the keys that lead to it. */
export function numericLeaves(root: unknown, path: Path = []): NumericLeaf[] {
  if (typeof root === 'number') return [{ path, value: root }];
  if (typeof root !== 'object' || root === null) return [];
  return Object.entries(root).flatMap(([key, value]) => numericLeaves(value, [...path, key]));
}
