import { entryAt } from './entries.ts';
/** Ranks from 1, ties share their mean rank. */
function ranks(values: readonly number[]): number[] {
  const order = values.map((_, i) => i).sort((a, b) => entryAt(values, a) - entryAt(values, b));
  const result = new Array<number>(values.length);
  let start = 0;
  while (start < order.length) {
    let end = start;
    while (
      end + 1 < order.length &&
      values[entryAt(order, end + 1)] === values[entryAt(order, start)]
    )
      end += 1;
    for (let k = start; k <= end; k++) result[entryAt(order, k)] = (start + end) / 2 + 1;
    start = end + 1;
  }
  return result;
}

/**
 * Rank correlation of two lists of equal length, −1 to 1 (Spearman 1904); 0 when either does not
 * vary.
 */
export function rankCorrelation(a: readonly number[], b: readonly number[]): number {
  const left = ranks(a);
  const right = ranks(b);
  const mean = (left.length + 1) / 2;
  let both = 0;
  let leftSquares = 0;
  let rightSquares = 0;
  left.forEach((rank, i) => {
    both += (rank - mean) * (entryAt(right, i) - mean);
    leftSquares += (rank - mean) ** 2;
    rightSquares += (entryAt(right, i) - mean) ** 2;
  });
  const scale = Math.sqrt(leftSquares * rightSquares);
  return scale === 0 ? 0 : both / scale;
}
