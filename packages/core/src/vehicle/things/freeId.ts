/** An id of a kind that no entry of a collection has: hole-1, hole-2 and so on. */
export function freeId(kind: string, taken: readonly { readonly id: string }[]): string {
  const ids = new Set(taken.map(({ id }) => id));
  let n = taken.length + 1;
  while (ids.has(`${kind}-${n}`)) n += 1;
  return `${kind}-${n}`;
}
