import { BadInput } from '../quantities/index.ts';

/** A value and its derivative at the asked place, and whether that lies outside the data. */
export interface CurveSample {
  value: number;
  slope: number;
  outside: boolean;
}

/** Monotone piecewise-cubic curve through given points. */
export interface Pchip {
  readonly x: readonly number[];
  readonly y: readonly number[];
  sample(at: number, into?: CurveSample): CurveSample;
}

function endSlope(h0: number, h1: number, d0: number, d1: number): number {
  const slope = ((2 * h0 + h1) * d0 - h0 * d1) / (h0 + h1);
  if (Math.sign(slope) !== Math.sign(d0)) return 0;
  if (Math.sign(d0) !== Math.sign(d1) && Math.abs(slope) > 3 * Math.abs(d0)) return 3 * d0;
  return slope;
}

/**
 * Monotone cubic Hermite interpolation (Fritsch and Butland 1984, weighted harmonic mean
 * slopes). Outside the data it goes on in a straight line and says so in `outside`.
 * Throws BadInput unless x has at least two strictly rising values.
 */
export function pchip(x: readonly number[], y: readonly number[]): Pchip {
  const n = x.length;
  if (n < 2 || y.length !== n) throw new BadInput('a curve needs at least two points', 'curve');
  const h = new Float64Array(n - 1);
  const delta = new Float64Array(n - 1);
  for (let i = 0; i < n - 1; i++) {
    h[i] = x[i + 1]! - x[i]!;
    if (!(h[i]! > 0)) throw new BadInput('curve points must rise strictly along x', 'curve');
    delta[i] = (y[i + 1]! - y[i]!) / h[i]!;
  }
  const slope = new Float64Array(n);
  if (n === 2) slope.fill(delta[0]!);
  else {
    for (let i = 1; i < n - 1; i++) {
      const before = delta[i - 1]!;
      const after = delta[i]!;
      if (before * after <= 0) continue;
      const w1 = 2 * h[i]! + h[i - 1]!;
      const w2 = h[i]! + 2 * h[i - 1]!;
      slope[i] = (w1 + w2) / (w1 / before + w2 / after);
    }
    slope[0] = endSlope(h[0]!, h[1]!, delta[0]!, delta[1]!);
    slope[n - 1] = endSlope(h[n - 2]!, h[n - 3]!, delta[n - 2]!, delta[n - 3]!);
  }
  return {
    x,
    y,
    sample(at, into = { value: 0, slope: 0, outside: false }) {
      if (at < x[0]! || at > x[n - 1]!) {
        const end = at < x[0]! ? 0 : n - 1;
        into.slope = slope[end]!;
        into.value = y[end]! + slope[end]! * (at - x[end]!);
        into.outside = true;
        return into;
      }
      let i = 0;
      while (i < n - 2 && at > x[i + 1]!) i++;
      const width = h[i]!;
      const t = (at - x[i]!) / width;
      const y0 = y[i]!;
      const y1 = y[i + 1]!;
      const m0 = slope[i]! * width;
      const m1 = slope[i + 1]! * width;
      const t2 = t * t;
      const t3 = t2 * t;
      into.value =
        (2 * t3 - 3 * t2 + 1) * y0 +
        (t3 - 2 * t2 + t) * m0 +
        (3 * t2 - 2 * t3) * y1 +
        (t3 - t2) * m1;
      into.slope =
        ((6 * t2 - 6 * t) * (y0 - y1) + (3 * t2 - 4 * t + 1) * m0 + (3 * t2 - 2 * t) * m1) / width;
      into.outside = false;
      return into;
    },
  };
}
