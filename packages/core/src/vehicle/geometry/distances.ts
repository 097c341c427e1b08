import { entryAt } from '../../numerics/index.ts';
import { type ArcPiece, type RoutePath, type PathPiece, pieceAt } from './path.ts';
import {
  type Vector,
  add,
  along,
  distanceBetween,
  dot,
  scale,
  subtract,
  unit,
  norm,
} from './vector.ts';

/** Two places and what lies between them, m. */
export interface Nearest {
  readonly distance: number;
  /** on the first thing */
  readonly at: Vector;
  /** on the other */
  readonly to: Vector;
}

export interface Segment {
  readonly from: Vector;
  readonly to: Vector;
}

/** A box along the axes of the vehicle. */
export interface Box {
  readonly low: Vector;
  readonly high: Vector;
}

/** All within `radius` m of a segment. */
export interface Capsule extends Segment {
  readonly radius: number;
}

const clamp = (value: number, low: number, high: number): number =>
  Math.min(high, Math.max(low, value));

const nearest = (at: Vector, to: Vector): Nearest => ({
  distance: distanceBetween(at, to),
  at,
  to,
});

const nearer = (a: Nearest, b: Nearest): Nearest => (b.distance < a.distance ? b : a);

/** The place on a segment that is nearest to a point. */
export function pointToSegment(point: Vector, { from, to }: Segment): Nearest {
  const direction = subtract(to, from);
  const square = dot(direction, direction);
  const t = square === 0 ? 0 : clamp(dot(subtract(point, from), direction) / square, 0, 1);
  return nearest(point, along(from, direction, t));
}

/** Where two segments come nearest. Exact: ends against segments, and the common perpendicular. */
export function segmentToSegment(a: Segment, b: Segment): Nearest {
  const turned = ({ distance, at, to }: Nearest): Nearest => ({ distance, at: to, to: at });
  let best = [
    pointToSegment(a.from, b),
    pointToSegment(a.to, b),
    turned(pointToSegment(b.from, a)),
    turned(pointToSegment(b.to, a)),
  ].reduce(nearer);
  const u = subtract(a.to, a.from);
  const v = subtract(b.to, b.from);
  const w = subtract(a.from, b.from);
  const [uu, uv, vv] = [dot(u, u), dot(u, v), dot(v, v)];
  const determinant = uu * vv - uv * uv;
  if (determinant > 1e-14 * uu * vv) {
    const s = (uv * dot(v, w) - vv * dot(u, w)) / determinant;
    const t = (uu * dot(v, w) - uv * dot(u, w)) / determinant;
    if (s > 0 && s < 1 && t > 0 && t < 1) {
      best = nearer(best, nearest(along(a.from, u, s), along(b.from, v, t)));
    }
  }
  return best;
}

/** The place in a box that is nearest to a point: the point itself where it lies inside. */
export const pointToBox = (point: Vector, { low, high }: Box): Nearest =>
  nearest(point, [
    clamp(point[0], low[0], high[0]),
    clamp(point[1], low[1], high[1]),
    clamp(point[2], low[2], high[2]),
  ]);

/**
 * Where a segment comes nearest to a box; 0 where it enters. Exact: between the planes of the box's
 * faces the square of the distance is a parabola.
 */
export function segmentToBox({ from, to }: Segment, box: Box): Nearest {
  const direction = subtract(to, from);
  const cuts = [0, 1];
  for (const axis of [0, 1, 2] as const) {
    if (direction[axis] === 0) continue;
    for (const face of [box.low[axis], box.high[axis]]) {
      const t = (face - from[axis]) / direction[axis];
      if (t > 0 && t < 1) cuts.push(t);
    }
  }
  cuts.sort((a, b) => a - b);
  let best = pointToBox(from, box);
  for (let i = 1; i < cuts.length; i++) {
    const [begin, end] = [entryAt(cuts, i - 1), entryAt(cuts, i)];
    const middle = along(from, direction, (begin + end) / 2);
    // What counts along an axis here: outside of a face its coordinate, inside nothing.
    let [square, slope] = [0, 0];
    for (const axis of [0, 1, 2] as const) {
      const face =
        middle[axis] < box.low[axis]
          ? box.low[axis]
          : middle[axis] > box.high[axis]
            ? box.high[axis]
            : undefined;
      if (face === undefined) continue;
      square += direction[axis] ** 2;
      slope += direction[axis] * (face - from[axis]);
    }
    const t = square === 0 ? begin : clamp(slope / square, begin, end);
    for (const at of [t, begin, end]) {
      best = nearer(best, pointToBox(along(from, direction, at), box));
    }
  }
  return best;
}

/** The place on an arc that is nearest to a point. Exact. */
export function pointToArc(point: Vector, arc: ArcPiece): Nearest {
  const from = subtract(point, arc.centre);
  const [x, y] = [dot(from, arc.outward), dot(from, arc.tangent)];
  const ends = nearer(nearest(point, pieceAt(arc, 0)), nearest(point, pieceAt(arc, arc.length)));
  // On the axis of the arc every place is as near as any other.
  const turned = Math.hypot(x, y) === 0 ? 0 : Math.atan2(y, x);
  const positive = turned < 0 ? turned + 2 * Math.PI : turned;
  return positive <= arc.angle
    ? nearer(ends, nearest(point, pieceAt(arc, positive * arc.radius)))
    : ends;
}

/** The place on a piece of a path that is nearest to a point. Exact. */
export const pointToPiece = (point: Vector, piece: PathPiece): Nearest =>
  piece.kind === 'arc'
    ? pointToArc(point, piece)
    : pointToSegment(point, { from: piece.from, to: pieceAt(piece, piece.length) });

/** How near to the true least distance an arc is followed, m. */
const FOLLOWED = 5e-5;

/**
 * Least of a distance along a piece: no distance changes faster than the way along it, so a stretch
 * whose middle is too far is left out as a whole. What is not below `atMost` m need not be the least.
 */
function leastAlong(
  piece: PathPiece,
  distanceFrom: (point: Vector) => Nearest,
  atMost = Infinity,
): Nearest {
  let best = nearer(distanceFrom(pieceAt(piece, 0)), distanceFrom(pieceAt(piece, piece.length)));
  const stretches: [from: number, to: number][] = [[0, piece.length]];
  for (let next = stretches.pop(); next; next = stretches.pop()) {
    const [from, to] = next;
    const middle = (from + to) / 2;
    const found = distanceFrom(pieceAt(piece, middle));
    best = nearer(best, found);
    const half = (to - from) / 2;
    if (found.distance - half >= Math.min(best.distance, atMost) - FOLLOWED) continue;
    stretches.push([from, middle], [middle, to]);
  }
  return best;
}

const asSegment = (piece: PathPiece): Segment | undefined =>
  piece.kind === 'straight' ? { from: piece.from, to: pieceAt(piece, piece.length) } : undefined;

/** Where a piece of a path comes nearest to a segment; arcs to 0.05 mm. */
export function pieceToSegment(piece: PathPiece, segment: Segment, atMost = Infinity): Nearest {
  const straight = asSegment(piece);
  return straight
    ? segmentToSegment(straight, segment)
    : leastAlong(piece, (point) => pointToSegment(point, segment), atMost);
}

/** Where a piece of a path comes nearest to a box; 0 where it enters. */
export function pieceToBox(piece: PathPiece, box: Box, atMost = Infinity): Nearest {
  const straight = asSegment(piece);
  return straight
    ? segmentToBox(straight, box)
    : leastAlong(piece, (point) => pointToBox(point, box), atMost);
}

/** Where two pieces come nearest. */
export function pieceToPiece(a: PathPiece, b: PathPiece): Nearest {
  const [first, second] = [asSegment(a), asSegment(b)];
  if (first && second) return segmentToSegment(first, second);
  if (second) return leastAlong(a, (point) => pointToSegment(point, second));
  return leastAlong(a, (point) => pointToPiece(point, b));
}

/**
 * The least over the pieces of a path that is below `below` m; undefined where none is. A piece whose
 * middle is too far is left out as a whole: none of it is further from there than half its length.
 */
function leastOf(
  { pieces }: RoutePath,
  distanceFrom: (point: Vector) => Nearest,
  ofPiece: (piece: PathPiece, atMost: number) => Nearest,
  below: number,
): Nearest | undefined {
  let best: Nearest | undefined;
  for (const piece of pieces) {
    const atMost = best?.distance ?? below;
    const half = piece.length / 2;
    if (atMost < Infinity && distanceFrom(pieceAt(piece, half)).distance - half >= atMost) continue;
    const found = ofPiece(piece, atMost);
    if (found.distance < atMost) best = found;
  }
  return best;
}

/** Where the centreline of a path comes nearest to a segment; undefined where not below `below` m. */
export const pathToSegment = (
  path: RoutePath,
  segment: Segment,
  below = Infinity,
): Nearest | undefined =>
  leastOf(
    path,
    (point) => pointToSegment(point, segment),
    (piece, atMost) => pieceToSegment(piece, segment, atMost),
    below,
  );

/** Where the centreline of a path comes nearest to a box; 0 where it enters. */
export const pathToBox = (path: RoutePath, box: Box): Nearest | undefined =>
  leastOf(
    path,
    (point) => pointToBox(point, box),
    (piece, atMost) => pieceToBox(piece, box, atMost),
    Infinity,
  );

/** Where the centrelines of two paths come nearest. */
export const pathToPath = (path: RoutePath, other: RoutePath): Nearest | undefined => {
  const toPath = path.pieces.flatMap((a) => other.pieces.map((b) => pieceToPiece(a, b)));
  return toPath.length > 0 ? toPath.reduce(nearer) : undefined;
};

/**
 * Where the centreline of a path comes nearest to the skin of a capsule; below 0 inside of it, by
 * how deep.
 */
export function pathToCapsule(path: RoutePath, capsule: Capsule): Nearest | undefined {
  const found = pathToSegment(path, capsule);
  if (!found) return undefined;
  const outward = subtract(found.at, found.to);
  const direction = norm(outward) === 0 ? ([0, 0, 1] as const) : unit(outward);
  return {
    distance: found.distance - capsule.radius,
    at: found.at,
    to: add(found.to, scale(direction, capsule.radius)),
  };
}
