/**
 * Order in which the rows of a symmetric matrix are eliminated so that few entries fill in: always
 * the row with the fewest neighbours left (Tinney and Walker, Proceedings of the IEEE 55 (1967)).
 */
export function minimumDegree(
  size: number,
  pairs: Iterable<readonly [number, number]>,
): Int32Array {
  const neighbours = Array.from({ length: size }, () => new Set<number>());
  for (const [a, b] of pairs) {
    if (a === b) continue;
    neighbours[a]?.add(b);
    neighbours[b]?.add(a);
  }
  // Rows by how many neighbours they have left.
  const rowsOf: Set<number>[] = [];
  const withDegree = (degree: number): Set<number> => (rowsOf[degree] ??= new Set());
  const degrees = Int32Array.from(neighbours, (around) => around.size);
  degrees.forEach((degree, row) => withDegree(degree).add(row));
  const order = new Int32Array(size);
  let fewest = 0;
  for (let k = 0; k < size; k++) {
    while ((rowsOf[fewest]?.size ?? 0) === 0) fewest += 1;
    const best = withDegree(fewest).values().next().value ?? 0;
    order[k] = best;
    withDegree(fewest).delete(best);
    const around = [...(neighbours[best] ?? [])];
    for (const a of around) {
      const of = neighbours[a];
      if (!of) continue;
      of.delete(best);
      for (const b of around) if (a !== b) of.add(b);
      const was = degrees[a] ?? 0;
      if (of.size === was) continue;
      withDegree(was).delete(a);
      withDegree(of.size).add(a);
      degrees[a] = of.size;
      fewest = Math.min(fewest, of.size);
    }
  }
  return order;
}
