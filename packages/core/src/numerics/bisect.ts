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
  let { low, high } = input;
  let atLow = input.of(low);
  let atHigh = input.of(high);
  let lastSide = 0;
  // False position; an end that stays twice is halved (Illinois), and every fourth step bisects.
  for (let k = 1; k < 200 && high - low > 1e-14 * Math.max(Math.abs(low), Math.abs(high)); k++) {
    const secant = (low * atHigh - high * atLow) / (atHigh - atLow);
    const inside = secant > low && secant < high && k % 4 !== 0;
    const at = inside ? secant : (low + high) / 2;
    if (at === low || at === high) break;
    const value = input.of(at);
    if (value === 0) return at;
    if (value > 0 === atHigh > 0) {
      high = at;
      atHigh = value;
      if (lastSide === 1) atLow /= 2;
      lastSide = 1;
    } else {
      low = at;
      atLow = value;
      if (lastSide === -1) atHigh /= 2;
      lastSide = -1;
    }
  }
  return Math.abs(atLow) < Math.abs(atHigh) ? low : high;
}
