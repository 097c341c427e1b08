import { firstOf } from '../../numerics/index.ts';
import { type RoutePath, type PathPiece, pieceAt } from './path.ts';
import type { Vector } from './vector.ts';

/** A place on a path: where, and how far along, m. */
export interface PathPlace {
  readonly at: Vector;
  readonly s: number;
}

/** Highest and lowest places of a path, and those between that trap vapour or liquid. */
export interface PathHeights {
  readonly highest: PathPlace;
  readonly lowest: PathPlace;
  /** tops between lower stretches: vapour gathers there */
  readonly pockets: readonly PathPlace[];
  /** bottoms between higher stretches: liquid stands there */
  readonly sags: readonly PathPlace[];
}

/** A top or bottom counts when it stands out by so much, m. */
const STANDS_OUT = 1e-6;

/** Distances into a piece at which its height may turn: its ends, and where an arc is level. */
function turnsOf(piece: PathPiece): number[] {
  if (piece.kind === 'straight') return [0, piece.length];
  const level = Math.atan2(piece.tangent[2], piece.outward[2]);
  const inside = [level - Math.PI, level, level + Math.PI, level + 2 * Math.PI]
    .filter((turned) => turned > 0 && turned < piece.angle)
    .map((turned) => turned * piece.radius);
  return [0, ...inside, piece.length];
}

/** Where a path is high and low; undefined on a path without a length. Exact, arcs included. */
export function heightsOf(path: RoutePath): PathHeights | undefined {
  const places: PathPlace[] = [];
  let before = 0;
  for (const piece of path.pieces) {
    for (const s of turnsOf(piece)) places.push({ at: pieceAt(piece, s), s: before + s });
    before += piece.length;
  }
  const first = places[0];
  if (!first) return undefined;
  const z = (place: PathPlace): number => place.at[2];
  const highest = places.reduce((best, place) => (z(place) > z(best) ? place : best), first);
  const lowest = places.reduce((best, place) => (z(place) < z(best) ? place : best), first);
  return {
    highest,
    lowest,
    pockets: turningPlaces(places, 1),
    sags: turningPlaces(places, -1),
  };
}

/** Places between the ends where height, times `sign`, rises before and falls after. */
function turningPlaces(places: readonly PathPlace[], sign: 1 | -1): PathPlace[] {
  const found: PathPlace[] = [];
  let rose: PathPlace | undefined;
  let last = firstOf(places);
  for (const place of places.slice(1)) {
    const step = sign * (place.at[2] - last.at[2]);
    if (step > STANDS_OUT) rose = place;
    else if (step < -STANDS_OUT) {
      // Of a level stretch on top the beginning is told.
      if (rose) found.push(rose);
      rose = undefined;
    }
    if (Math.abs(step) > STANDS_OUT) last = place;
  }
  return found;
}
