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
  const left = new Set(Array.from({ length: size }, (_, row) => row));
  const order = new Int32Array(size);
  for (let k = 0; k < size; k++) {
    let best = left.values().next().value ?? 0;
    let fewest = Infinity;
    for (const row of left) {
      const degree = neighbours[row]?.size ?? 0;
      if (degree < fewest) {
        best = row;
        fewest = degree;
      }
    }
    order[k] = best;
    left.delete(best);
    const around = [...(neighbours[best] ?? [])];
    for (const a of around) {
      neighbours[a]?.delete(best);
      for (const b of around) if (a !== b) neighbours[a]?.add(b);
    }
  }
  return order;
}
