import { type Box, pointToBox } from './distances.ts';
import { type PathPiece, type RoutePath, pieceAt, pieceDirection, pointAt } from './path.ts';
import type { Vector } from './vector.ts';

function partOf(piece: PathPiece, from: number, to: number): PathPiece {
  const length = to - from;
  if (piece.kind === 'straight') return { ...piece, from: pieceAt(piece, from), length };
  const start = pieceAt(piece, from);
  const outward: Vector = [
    (start[0] - piece.centre[0]) / piece.radius,
    (start[1] - piece.centre[1]) / piece.radius,
    (start[2] - piece.centre[2]) / piece.radius,
  ];
  return {
    ...piece,
    outward,
    tangent: pieceDirection(piece, from),
    angle: length / piece.radius,
    length,
  };
}

/** The part of a path between two distances along it, m; bends are not told of it. */
export function stretchOf(path: RoutePath, from: number, to: number): RoutePath {
  const pieces: PathPiece[] = [];
  let before = 0;
  for (const piece of path.pieces) {
    const begin = Math.max(0, from - before);
    const end = Math.min(piece.length, to - before);
    if (end > begin) pieces.push(partOf(piece, begin, end));
    before += piece.length;
  }
  return {
    pieces,
    length: pieces.reduce((sum, piece) => sum + piece.length, 0),
    bends: [],
    startDirection: path.startDirection,
    endDirection: path.endDirection,
  };
}

/** How finely the way out of a box is looked for, and to what it is found, m. */
const STEP = 2e-3;
const FOUND = 1e-7;

/** How far along a path, from one of its ends, it stays in a box it begins in; 0 where it does not. */
export function wayOutOf(path: RoutePath, box: Box, end: 'start' | 'end'): number {
  const inside = (s: number): boolean => {
    const place = pointAt(path, end === 'start' ? s : path.length - s);
    return place !== undefined && pointToBox(place, box).distance === 0;
  };
  if (!inside(0)) return 0;
  let s = STEP;
  while (s < path.length && inside(s)) s += STEP;
  if (s >= path.length) return path.length;
  let [low, high] = [s - STEP, s];
  while (high - low > FOUND) {
    const middle = (low + high) / 2;
    if (inside(middle)) low = middle;
    else high = middle;
  }
  return high;
}
