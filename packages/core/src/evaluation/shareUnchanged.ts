const isContainer = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null;

/**
 * `next` with every part that equals the same part of `previous` replaced by it, so that stages
 * can compare inputs by identity after a document crossed into a worker.
 */
export function shareUnchanged<Value>(previous: unknown, next: Value): Value {
  if (previous === next) return next;
  if (!isContainer(previous) || !isContainer(next)) return next;
  if (Array.isArray(previous) !== Array.isArray(next)) return next;
  const keys = Object.keys(next);
  let same = Object.keys(previous).length === keys.length;
  const shared: Record<string, unknown> | unknown[] = Array.isArray(next) ? [] : {};
  for (const key of keys) {
    const part = shareUnchanged(previous[key], (next as Record<string, unknown>)[key]);
    if (!Object.hasOwn(previous, key) || part !== previous[key]) same = false;
    (shared as Record<string, unknown>)[key] = part;
  }
  return same ? (previous as Value) : (shared as Value);
}
