/** A numeric leaf of a document with its dotted path. */
export interface NumericLeaf {
  readonly path: string;
  readonly value: number;
}

/** Every number in plain data, by dotted path. */
export function numericLeaves(root: unknown, path = ''): NumericLeaf[] {
  if (typeof root === 'number') return [{ path, value: root }];
  if (typeof root !== 'object' || root === null) return [];
  return Object.entries(root).flatMap(([key, value]) =>
    numericLeaves(value, path === '' ? key : `${path}.${key}`),
  );
}
