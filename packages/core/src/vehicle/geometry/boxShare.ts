import type { Box } from './distances.ts';
import { type Vector, dot } from './vector.ts';

/** A side of a box this short against the others counts as none, as a share. */
const NOTHING = 1e-9;

/**
 * Share of a box that lies further along a direction than a place: what a liquid surface across that
 * direction through that place has under it. Exact: sums of powers over the corners of the box.
 */
export function boxShareBeyond(box: Box, place: Vector, direction: Vector): number {
  const sides = [0, 1, 2].map((axis) => {
    const k = axis as 0 | 1 | 2;
    return Math.abs(direction[k]) * (box.high[k] - box.low[k]);
  });
  const whole = sides.reduce((sum, side) => sum + side, 0);
  if (whole === 0) return 0;
  // Measured from the corner that lies furthest along the direction, back towards the place.
  const corner: Vector = [0, 1, 2].map((axis) => {
    const k = axis as 0 | 1 | 2;
    return direction[k] > 0 ? box.high[k] : box.low[k];
  }) as unknown as Vector;
  const depth = (dot(corner, direction) - dot(place, direction)) / whole;
  const parts = sides.map((side) => side / whole).filter((side) => side > NOTHING);
  let sum = 0;
  for (let corners = 0; corners < 1 << parts.length; corners++) {
    let [left, sign] = [depth, 1];
    parts.forEach((part, i) => {
      if ((corners & (1 << i)) === 0) return;
      left -= part;
      sign = -sign;
    });
    if (left > 0) sum += sign * left ** parts.length;
  }
  const factorial = [1, 1, 2, 6][parts.length] ?? 6;
  const share = sum / (factorial * parts.reduce((product, part) => product * part, 1));
  return Math.min(1, Math.max(0, share));
}
