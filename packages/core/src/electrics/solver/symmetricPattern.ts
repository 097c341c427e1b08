import { minimumDegree } from './minimumDegree.ts';

/** A pair of rows whose entry may be other than 0, in either order. */
export type RowPair = readonly [number, number];

/**
 * Where the entries of a symmetric matrix may be other than 0: in which order its rows are
 * eliminated, and what fills in. Holds for any values, and is never changed.
 */
export class SymmetricPattern {
  /** entries on and beside the diagonal, in the order of their places */
  readonly count: number;
  readonly order: Int32Array;
  /** elimination tree: the first row that a row fills in */
  readonly parent: Int32Array;
  /** where the columns of the factor begin */
  readonly columnStart: Int32Array;
  /** upper entries of the ordered matrix, by column: rows, and the places of their values */
  readonly rowStart: Int32Array;
  readonly rowIndex: Int32Array;
  readonly rowPlace: Int32Array;
  private readonly places = new Map<number, number>();

  constructor(
    readonly size: number,
    pairs: readonly RowPair[],
  ) {
    for (let row = 0; row < size; row++) this.places.set(row * size + row, row);
    let count = size;
    for (const [a, b] of pairs) {
      const key = this.key(a, b);
      if (!this.places.has(key)) this.places.set(key, count++);
    }
    this.count = count;
    this.order = minimumDegree(size, pairs);
    const position = new Int32Array(size);
    this.order.forEach((row, k) => (position[row] = k));
    const columns = Array.from({ length: size }, () => [] as RowPair[]);
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
    const flag = new Int32Array(size);
    const lower = new Int32Array(size);
    for (let k = 0; k < size; k++) {
      flag[k] = k;
      for (let p = this.rowStart[k]!; p < this.rowStart[k + 1]!; p++) {
        for (let i = this.rowIndex[p]!; flag[i] !== k; i = this.parent[i]!) {
          if (this.parent[i] === -1) this.parent[i] = k;
          lower[i]! += 1;
          flag[i] = k;
        }
      }
    }
    this.columnStart = new Int32Array(size + 1);
    for (let k = 0; k < size; k++) this.columnStart[k + 1] = this.columnStart[k]! + lower[k]!;
  }

  private key(a: number, b: number): number {
    return Math.min(a, b) * this.size + Math.max(a, b);
  }

  /** Where the value of an entry stands. Throws for one that is not in the pattern. */
  entry(a: number, b: number): number {
    const place = this.places.get(this.key(a, b));
    if (place === undefined) throw new Error(`entry ${a}, ${b} is not in the pattern`);
    return place;
  }
}
