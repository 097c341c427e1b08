import type { SymmetricPattern } from './symmetricPattern.ts';

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
  private readonly lowerIndex: Int32Array;
  private readonly lowerValue: Float64Array;
  private readonly lowerCount: Int32Array;
  private readonly diagonal: Float64Array;
  private readonly work: Float64Array;
  private readonly pattern: Int32Array;
  private readonly flag: Int32Array;
  private readonly permuted: Float64Array;

  constructor(
    private readonly size: number,
    private readonly known: SymmetricPattern,
  ) {
    const { count, columnStart } = known;
    const filled = columnStart[size] ?? 0;
    this.values = new Float64Array(count);
    this.flag = new Int32Array(size);
    this.lowerIndex = new Int32Array(filled);
    this.lowerValue = new Float64Array(filled);
    this.lowerCount = new Int32Array(size);
    this.diagonal = new Float64Array(size);
    this.work = new Float64Array(size);
    this.pattern = new Int32Array(size);
    this.permuted = new Float64Array(size);
  }

  /**
   * Factors the present values. A row of which nothing is left but rounding hangs on nothing else
   * than its neighbours: it keeps its own value, and so stands at 0 with them.
   */
  factor(): void {
    const { size, flag, pattern, work, diagonal, lowerIndex, lowerValue, lowerCount } = this;
    const { parent, rowStart, rowIndex, rowPlace, columnStart } = this.known;
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
    const { size, permuted, lowerIndex, lowerValue, lowerCount } = this;
    const { order, columnStart } = this.known;
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
