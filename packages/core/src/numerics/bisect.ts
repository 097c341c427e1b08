/**
 * The place between `low` (test false) and `high` (test true) where `test` turns true, to a
 * relative width of `tolerance`. The caller guarantees the two ends.
 */
export function bisect(input: {
  low: number;
  high: number;
  tolerance: number;
  test: (at: number) => boolean;
}): number {
  let { low, high } = input;
  while (high - low > input.tolerance * Math.max(Math.abs(low), Math.abs(high))) {
    const middle = (low + high) / 2;
    if (middle === low || middle === high) break;
    if (input.test(middle)) high = middle;
    else low = middle;
  }
  return (low + high) / 2;
}

/** Root of a function with a sign change between `low` and `high`, to full precision. */
export function findRoot(input: { low: number; high: number; of: (at: number) => number }): number {
  const rising = input.of(input.high) > 0;
  return bisect({
    low: input.low,
    high: input.high,
    tolerance: 1e-14,
    test: (at) => input.of(at) > 0 === rising,
  });
}
