const isPlain = (prototype: unknown): boolean =>
  prototype === Object.prototype || prototype === null;

function sameParts(a: object, b: object): boolean {
  const keys = Object.keys(a) as (keyof typeof a)[];
  const others = Object.keys(b);
  if (keys.length !== others.length) return false;
  for (let i = 0; i < keys.length; i++) {
    const key = keys[i] as keyof typeof a;
    // What was made by the same code has its keys in the same order.
    if (key !== others[i] && !Object.hasOwn(b, key)) return false;
    if (!sameValue(a[key], b[key])) return false;
  }
  return true;
}

function sameList(a: readonly unknown[], b: readonly unknown[]): boolean {
  if (a.length !== b.length) return false;
  for (let i = 0; i < a.length; i++) if (!sameValue(a[i], b[i])) return false;
  return true;
}

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
  if (Array.isArray(a)) return Array.isArray(b) && sameList(a, b);
  if (isPlain(Object.getPrototypeOf(a))) {
    return isPlain(Object.getPrototypeOf(b)) && sameParts(a, b);
  }
  if (ArrayBuffer.isView(a) && ArrayBuffer.isView(b)) {
    return sameNumbers(a as never, b as never);
  }
  return a instanceof Map && b instanceof Map && sameEntries(a, b);
}
