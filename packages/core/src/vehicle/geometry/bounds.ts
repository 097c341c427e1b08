import type { Box } from './distances.ts';
import type { RoutePoint } from './path.ts';
import type { Vector } from './vector.ts';

/** The least box along the axes around some places. */
export function boundsOf(places: readonly Vector[]): Box {
  const low: [number, number, number] = [Infinity, Infinity, Infinity];
  const high: [number, number, number] = [-Infinity, -Infinity, -Infinity];
  for (const place of places) {
    for (const axis of [0, 1, 2] as const) {
      low[axis] = Math.min(low[axis], place[axis]);
      high[axis] = Math.max(high[axis], place[axis]);
    }
  }
  return { low, high };
}

/** A box wider by `by` m on every side. */
export const grown = ({ low, high }: Box, by: number): Box => ({
  low: [low[0] - by, low[1] - by, low[2] - by],
  high: [high[0] + by, high[1] + by, high[2] + by],
});

/** Least distance m between two boxes, 0 where they meet. */
export function boxToBox(a: Box, b: Box): number {
  const gap = (axis: 0 | 1 | 2): number =>
    Math.max(0, a.low[axis] - b.high[axis], b.low[axis] - a.high[axis]);
  return Math.hypot(gap(0), gap(1), gap(2));
}

/** A route lies within the box around its corners: arcs cut corners, they never leave them. */
export const routeBounds = (points: readonly RoutePoint[]): Box =>
  boundsOf(points.map((point) => point.at));
