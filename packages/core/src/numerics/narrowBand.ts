/**
 * An order of things in which those that are joined stand near each other, so that the rows of their
 * matrix are short: outwards from one with few neighbours, those with fewer first (Cuthill and McKee,
 * Proceedings of the 24th National Conference of the ACM, 1969). Each index 0 … size − 1 once; what
 * comes first of equals stays first.
 */
export function narrowBand(size: number, pairs: Iterable<readonly [number, number]>): Int32Array {
  const neighbours = Array.from({ length: size }, () => new Set<number>());
  for (const [a, b] of pairs) {
    if (a === b) continue;
    neighbours[a]?.add(b);
    neighbours[b]?.add(a);
  }
  const degree = (index: number): number => neighbours[index]?.size ?? 0;
  const fewestFirst = (indices: Iterable<number>): number[] =>
    [...indices].sort((a, b) => degree(a) - degree(b) || a - b);
  // A set keeps the order in which things join it, and what joins meanwhile is come to later.
  const order = new Set<number>();
  for (const start of fewestFirst(neighbours.keys())) {
    order.add(start);
    for (const index of order) {
      for (const next of fewestFirst(neighbours[index] ?? [])) order.add(next);
    }
  }
  return Int32Array.from(order);
}
