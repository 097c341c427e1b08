import { type RoutePath, pieceDirection } from './path.ts';
import { type Vector, add, cross, dot, norm, scale, unit } from './vector.ts';

/** A direction turned about an axis of length 1, by the right hand, rad. */
export function turnedAbout(v: Vector, axis: Vector, angle: number): Vector {
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  return add(add(scale(v, c), scale(cross(axis, v), s)), scale(axis, dot(axis, v) * (1 - c)));
}

/** Turned as little as takes one direction of length 1 into another. */
function turnedWith(v: Vector, from: Vector, to: Vector): Vector {
  const across = cross(from, to);
  const size = norm(across);
  return size === 0 ? v : turnedAbout(v, unit(across), Math.atan2(size, dot(from, to)));
}

/**
 * A direction carried along a path without twist: it turns only as the path does (the frame that
 * minimises rotation; along straights and arcs that is exact).
 */
export function carriedAlong(path: RoutePath, v: Vector): Vector {
  let carried = v;
  let heading = path.startDirection;
  for (const piece of path.pieces) {
    const start = pieceDirection(piece, 0);
    carried = turnedWith(carried, heading, start);
    if (piece.kind === 'arc') {
      // From its tangent towards its centre.
      const axis = unit(cross(piece.tangent, scale(piece.outward, -1)));
      carried = turnedAbout(carried, axis, piece.angle);
    }
    heading = pieceDirection(piece, piece.length);
  }
  return turnedWith(carried, heading, path.endDirection);
}
