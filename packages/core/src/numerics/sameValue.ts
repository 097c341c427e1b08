const isPlain = (value: object): boolean => {
  const prototype: unknown = Object.getPrototypeOf(value);
  return prototype === Object.prototype || prototype === null;
};

function sameNumbers(a: ArrayLike<unknown>, b: ArrayLike<unknown>): boolean {
  if (a.length !== b.length) return false;
  for (let i = 0; i < a.length; i++) if (!Object.is(a[i], b[i])) return false;
  return true;
}

function sameEntries(a: ReadonlyMap<unknown, unknown>, b: ReadonlyMap<unknown, unknown>): boolean {
  if (a.size !== b.size) return false;
  for (const [key, value] of a) if (!b.has(key) || !sameValue(value, b.get(key))) return false;
  return true;
}

/**
 * Whether two values of plain data, lists, typed arrays and maps hold the same. Anything else
 * (functions) is the same only where it is the same object.
 */
export function sameValue(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true;
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false;
  if (Array.isArray(a)) {
    return (
      Array.isArray(b) && a.length === b.length && a.every((entry, i) => sameValue(entry, b[i]))
    );
  }
  if (ArrayBuffer.isView(a) && ArrayBuffer.isView(b)) {
    return sameNumbers(a as never, b as never);
  }
  if (a instanceof Map) return b instanceof Map && sameEntries(a, b);
  if (!isPlain(a) || !isPlain(b)) return false;
  const keys = Object.keys(a);
  return (
    keys.length === Object.keys(b).length &&
    keys.every(
      (key) => Object.hasOwn(b, key) && sameValue(a[key as keyof object], b[key as keyof object]),
    )
  );
}
