/**
 * The entry of a list that is known to be there. Throws a RangeError where it is not, so that a
 * wrong index is found where it happens and not as a NaN far behind.
 */
export function entryAt<Value>(values: ArrayLike<Value>, index: number): Exclude<Value, undefined> {
  const value = values[index];
  if (value === undefined) throw new RangeError(`nothing at ${index} of ${values.length}`);
  return value as Exclude<Value, undefined>;
}

/** The first entry of a list that is known to have one. */
export const firstOf = <Value>(values: ArrayLike<Value>): Exclude<Value, undefined> =>
  entryAt(values, 0);

/** The last entry of a list that is known to have one. */
export const lastOf = <Value>(values: ArrayLike<Value>): Exclude<Value, undefined> =>
  entryAt(values, values.length - 1);

/** The entry of a record that is known to have it; a RangeError names the key where it has not. */
export function valueUnder<Value>(
  record: Readonly<Record<string, Value>>,
  key: string,
): Exclude<Value, undefined> {
  const value = record[key];
  if (value === undefined) throw new RangeError(`nothing under "${key}"`);
  return value as Exclude<Value, undefined>;
}
