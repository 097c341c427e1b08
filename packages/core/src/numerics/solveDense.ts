/**
 * Solves A·x = b in place by LU with partial pivoting: `a` (row-major n × n) is destroyed and
 * `b` becomes x. Returns false when the matrix is singular to working precision.
 */
export function solveDense(a: Float64Array, b: Float64Array, n: number): boolean {
  for (let k = 0; k < n; k++) {
    let pivotRow = k;
    let pivot = Math.abs(a[k * n + k]!);
    for (let i = k + 1; i < n; i++) {
      const candidate = Math.abs(a[i * n + k]!);
      if (candidate > pivot) {
        pivot = candidate;
        pivotRow = i;
      }
    }
    if (!(pivot > 0) || !Number.isFinite(pivot)) return false;
    if (pivotRow !== k) {
      for (let j = k; j < n; j++) {
        const held = a[k * n + j]!;
        a[k * n + j] = a[pivotRow * n + j]!;
        a[pivotRow * n + j] = held;
      }
      const held = b[k]!;
      b[k] = b[pivotRow]!;
      b[pivotRow] = held;
    }
    const inverse = 1 / a[k * n + k]!;
    for (let i = k + 1; i < n; i++) {
      const factor = a[i * n + k]! * inverse;
      if (factor === 0) continue;
      for (let j = k + 1; j < n; j++) a[i * n + j]! -= factor * a[k * n + j]!;
      b[i]! -= factor * b[k]!;
    }
  }
  for (let i = n - 1; i >= 0; i--) {
    let sum = b[i]!;
    for (let j = i + 1; j < n; j++) sum -= a[i * n + j]! * b[j]!;
    b[i] = sum / a[i * n + i]!;
  }
  return true;
}
