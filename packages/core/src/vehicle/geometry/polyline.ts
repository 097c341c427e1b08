import { type RoutePath, pieceAt } from './path.ts';
import type { Vector } from './vector.ts';

/** Straights that an arc is drawn with turn by no more than this, rad. */
const TURN = Math.PI / 36;

/** A path as corners to be drawn: ends of straights, arcs in short straights. */
export function polylineOf(path: RoutePath): Vector[] {
  const places: Vector[] = [];
  for (const piece of path.pieces) {
    const parts = piece.kind === 'arc' ? Math.max(1, Math.ceil(piece.angle / TURN)) : 1;
    if (places.length === 0) places.push(pieceAt(piece, 0));
    for (let k = 1; k <= parts; k++) places.push(pieceAt(piece, (k / parts) * piece.length));
  }
  return places;
}
