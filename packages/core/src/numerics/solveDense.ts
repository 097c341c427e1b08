/**
 * Solves A·x = b in place by LU with partial pivoting: `a` (row-major n × n) is destroyed and
 * `b` becomes x. Returns false when the matrix is singular to working precision.
 */
export function solveDense(a: Float64Array, b: Float64Array, n: number): boolean {
  // Before the first and past the last entry of a row there is nothing to work out: rows of a network
  // are short.
  const lengths = rowLengths(a, n);
  const ends = columnEnds(a, n);
  for (let k = 0; k < n; k++) {
    const end = ends[k]!;
    let pivotRow = k;
    let pivot = Math.abs(a[k * n + k]!);
    for (let i = k + 1; i < end; i++) {
      const candidate = Math.abs(a[i * n + k]!);
      if (candidate > pivot) {
        pivot = candidate;
        pivotRow = i;
      }
    }
    if (!(pivot > 0) || !Number.isFinite(pivot)) return false;
    const row = k * n;
    if (pivotRow !== k) {
      const length = Math.max(lengths[k]!, lengths[pivotRow]!);
      for (let j = k; j < length; j++) {
        const held = a[row + j]!;
        a[row + j] = a[pivotRow * n + j]!;
        a[pivotRow * n + j] = held;
      }
      const held = b[k]!;
      b[k] = b[pivotRow]!;
      b[pivotRow] = held;
      const heldLength = lengths[k]!;
      lengths[k] = lengths[pivotRow]!;
      lengths[pivotRow] = heldLength;
    }
    const inverse = 1 / a[row + k]!;
    const length = lengths[k]!;
    const right = b[k]!;
    for (let i = k + 1; i < end; i++) {
      const other = i * n;
      const factor = a[other + k]! * inverse;
      if (factor === 0) continue;
      for (let j = k + 1; j < length; j++) a[other + j]! -= factor * a[row + j]!;
      b[i]! -= factor * right;
      if (lengths[i]! < length) lengths[i] = length;
    }
  }
  for (let i = n - 1; i >= 0; i--) {
    const row = i * n;
    let sum = b[i]!;
    for (let j = i + 1; j < lengths[i]!; j++) sum -= a[row + j]! * b[j]!;
    b[i] = sum / a[row + i]!;
  }
  return true;
}

/**
 * Index after the last row that has an entry in a column or before it, by column: what is taken from
 * rows below fills none of them before their first entry.
 */
function columnEnds(a: Float64Array, n: number): Int32Array {
  const ends = new Int32Array(n);
  for (let i = 0; i < n; i++) {
    let j = 0;
    while (j < n && a[i * n + j] === 0) j++;
    if (j < n) ends[j] = i + 1;
  }
  for (let j = 1; j < n; j++) ends[j] = Math.max(ends[j]!, ends[j - 1]!);
  return ends;
}

/** Index after the last entry that is not zero, by row. */
function rowLengths(a: Float64Array, n: number): Int32Array {
  const lengths = new Int32Array(n);
  for (let i = 0; i < n; i++) {
    let j = n;
    while (j > 0 && a[i * n + j - 1] === 0) j--;
    lengths[i] = j;
  }
  return lengths;
}
