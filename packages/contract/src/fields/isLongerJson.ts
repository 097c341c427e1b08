/** Signs of a value that holds no others, as JSON; a text is not written out that is too long anyhow. */
function leafLength(value: unknown, most: number): number {
  if (typeof value === 'string' && value.length > most) return value.length;
  return (JSON.stringify(value) ?? '').length;
}

/** Whether a plain value takes more than `most` signs as JSON; nothing is looked at beyond them. */
export function isLongerJson(value: unknown, most: number): boolean {
  let left = most;
  const take = (node: unknown): void => {
    if (left < 0) return;
    if (typeof node !== 'object' || node === null) {
      left -= leafLength(node, left);
      return;
    }
    const isList = Array.isArray(node);
    const keys = Object.keys(node);
    // Its brackets, and what stands between its entries.
    left -= 2 + Math.max(0, keys.length - 1);
    for (const key of keys) {
      if (left < 0) return;
      if (!isList) left -= leafLength(key, left) + 1;
      take((node as Readonly<Record<string, unknown>>)[key]);
    }
  };
  take(value);
  return left < 0;
}
