import { type Box, pointToBox } from './distances.ts';
import { type RoutePath, pieceAt } from './path.ts';
import { type Vector, subtract } from './vector.ts';

/** Arcs are cut into chords no longer than this, m. */
const CHORD = 1e-3;

/** The share of a segment that lies in a box. */
function shareInside(from: Vector, to: Vector, { low, high }: Box): number {
  const direction = subtract(to, from);
  let [begin, end] = [0, 1];
  for (const axis of [0, 1, 2] as const) {
    const d = direction[axis];
    if (d === 0) {
      if (from[axis] <= low[axis] || from[axis] >= high[axis]) return 0;
      continue;
    }
    const a = (low[axis] - from[axis]) / d;
    const b = (high[axis] - from[axis]) / d;
    begin = Math.max(begin, Math.min(a, b));
    end = Math.min(end, Math.max(a, b));
  }
  return Math.max(0, end - begin);
}

/** Length m of a path inside a box: straights exact, arcs in chords of a millimetre. */
export function lengthInside(path: RoutePath, box: Box): number {
  let length = 0;
  for (const piece of path.pieces) {
    const half = piece.length / 2;
    // No place of a piece is further from its middle than half of its length.
    if (pointToBox(pieceAt(piece, half), box).distance > half) continue;
    const parts = piece.kind === 'arc' ? Math.max(1, Math.ceil(piece.length / CHORD)) : 1;
    const step = piece.length / parts;
    for (let k = 0; k < parts; k++) {
      length += step * shareInside(pieceAt(piece, k * step), pieceAt(piece, (k + 1) * step), box);
    }
  }
  return length;
}
