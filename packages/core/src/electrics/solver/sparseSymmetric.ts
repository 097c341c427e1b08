import { minimumDegree } from './minimumDegree.ts';

/** What is left of a row after elimination is rounding below this share of it. */
const ROUNDING = 1e-13;

/**
 * Factorization L·D·Lᵀ of a sparse symmetric matrix whose pattern stays the same: ordered and
 * analysed once, factored as often as its values change (up-looking, after Davis, ACM Transactions
 * on Mathematical Software 31 (2005), algorithm 849).
 */
export class SparseSymmetric {
  /** values of the entries, in the order in which `entry` gave their places */
  readonly values: Float64Array;
  private readonly places = new Map<number, number>();
  private readonly order: Int32Array;
  private readonly parent: Int32Array;
  private readonly columnStart: Int32Array;
  private readonly rowStart: Int32Array;
  private readonly rowIndex: Int32Array;
  private readonly rowPlace: Int32Array;
  private readonly lowerIndex: Int32Array;
  private readonly lowerValue: Float64Array;
  private readonly lowerCount: Int32Array;
  private readonly diagonal: Float64Array;
  private readonly work: Float64Array;
  private readonly pattern: Int32Array;
  private readonly flag: Int32Array;
  private readonly permuted: Float64Array;

  /** Entries that may be other than 0 beside the diagonal, each pair in either order. */
  constructor(
    private readonly size: number,
    pairs: readonly (readonly [number, number])[],
  ) {
    for (let row = 0; row < size; row++) this.places.set(row * size + row, row);
    let count = size;
    for (const [a, b] of pairs) {
      const key = this.key(a, b);
      if (!this.places.has(key)) this.places.set(key, count++);
    }
    this.values = new Float64Array(count);
    this.order = minimumDegree(size, pairs);
    const position = new Int32Array(size);
    this.order.forEach((row, k) => (position[row] = k));
    // Upper entries of the ordered matrix, by column.
    const columns = Array.from({ length: size }, () => [] as [number, number][]);
    for (const [key, place] of this.places) {
      const a = position[Math.floor(key / size)] ?? 0;
      const b = position[key % size] ?? 0;
      columns[Math.max(a, b)]?.push([Math.min(a, b), place]);
    }
    this.rowStart = new Int32Array(size + 1);
    columns.forEach((column, k) => {
      this.rowStart[k + 1] = (this.rowStart[k] ?? 0) + column.length;
    });
    this.rowIndex = Int32Array.from(columns.flat(), ([row]) => row);
    this.rowPlace = Int32Array.from(columns.flat(), ([, place]) => place);
    this.parent = new Int32Array(size).fill(-1);
    this.flag = new Int32Array(size);
    const lower = new Int32Array(size);
    for (let k = 0; k < size; k++) {
      this.flag[k] = k;
      for (let p = this.rowStart[k]!; p < this.rowStart[k + 1]!; p++) {
        for (let i = this.rowIndex[p]!; this.flag[i] !== k; i = this.parent[i]!) {
          if (this.parent[i] === -1) this.parent[i] = k;
          lower[i]! += 1;
          this.flag[i] = k;
        }
      }
    }
    this.columnStart = new Int32Array(size + 1);
    for (let k = 0; k < size; k++) this.columnStart[k + 1] = this.columnStart[k]! + lower[k]!;
    const filled = this.columnStart[size] ?? 0;
    this.lowerIndex = new Int32Array(filled);
    this.lowerValue = new Float64Array(filled);
    this.lowerCount = new Int32Array(size);
    this.diagonal = new Float64Array(size);
    this.work = new Float64Array(size);
    this.pattern = new Int32Array(size);
    this.permuted = new Float64Array(size);
  }

  private key(a: number, b: number): number {
    return Math.min(a, b) * this.size + Math.max(a, b);
  }

  /** Where the value of an entry stands. */
  entry(a: number, b: number): number {
    const place = this.places.get(this.key(a, b));
    if (place === undefined) throw new Error(`entry ${a}, ${b} is not in the pattern`);
    return place;
  }

  /**
   * Factors the present values. A row of which nothing is left but rounding hangs on nothing else
   * than its neighbours: it keeps its own value, and so stands at 0 with them.
   */
  factor(): void {
    const { size, parent, flag, pattern, work, diagonal } = this;
    const { rowStart, rowIndex, rowPlace, columnStart, lowerIndex, lowerValue, lowerCount } = this;
    for (let k = 0; k < size; k++) {
      let top = size;
      flag[k] = k;
      lowerCount[k] = 0;
      work[k] = 0;
      for (let p = rowStart[k]!; p < rowStart[k + 1]!; p++) {
        let i = rowIndex[p]!;
        work[i]! += this.values[rowPlace[p]!]!;
        let length = 0;
        for (; flag[i] !== k; i = parent[i]!) {
          pattern[length++] = i;
          flag[i] = k;
        }
        while (length > 0) pattern[--top] = pattern[--length]!;
      }
      const own = work[k]!;
      let pivot = own;
      work[k] = 0;
      for (; top < size; top++) {
        const i = pattern[top]!;
        const value = work[i]!;
        work[i] = 0;
        const end = columnStart[i]! + lowerCount[i]!;
        let p = columnStart[i]!;
        for (; p < end; p++) work[lowerIndex[p]!]! -= lowerValue[p]! * value;
        const factor = value / diagonal[i]!;
        pivot -= factor * value;
        lowerIndex[p] = k;
        lowerValue[p] = factor;
        lowerCount[i]! += 1;
      }
      diagonal[k] = Math.abs(pivot) > ROUNDING * Math.abs(own) ? pivot : own || 1;
    }
  }

  /** Solves for a right-hand side with the factors, in place. */
  solve(rightSide: Float64Array): void {
    const { size, order, permuted, columnStart, lowerIndex, lowerValue, lowerCount } = this;
    for (let k = 0; k < size; k++) permuted[k] = rightSide[order[k]!]!;
    for (let k = 0; k < size; k++) {
      const x = permuted[k]!;
      const end = columnStart[k]! + lowerCount[k]!;
      for (let p = columnStart[k]!; p < end; p++) permuted[lowerIndex[p]!]! -= lowerValue[p]! * x;
    }
    for (let k = 0; k < size; k++) permuted[k]! /= this.diagonal[k]!;
    for (let k = size - 1; k >= 0; k--) {
      let x = permuted[k]!;
      const end = columnStart[k]! + lowerCount[k]!;
      for (let p = columnStart[k]!; p < end; p++) x -= lowerValue[p]! * permuted[lowerIndex[p]!]!;
      permuted[k] = x;
    }
    for (let k = 0; k < size; k++) rightSide[order[k]!] = permuted[k]!;
  }
}
