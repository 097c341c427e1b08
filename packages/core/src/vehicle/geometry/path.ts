import { entryAt, lastOf } from '../../numerics/index.ts';
import {
  type Vector,
  add,
  along,
  angleBetween,
  distanceBetween,
  dot,
  scale,
  subtract,
  unit,
} from './vector.ts';

/** A corner or an end of a route; the radius m is of the centreline and means nothing at the ends. */
export interface RoutePoint {
  readonly at: Vector;
  readonly radius: number;
}

export interface StraightPiece {
  readonly kind: 'straight';
  readonly from: Vector;
  readonly direction: Vector;
  readonly length: number;
}

/** From `centre + radius · outward` through `angle` rad, first towards `tangent`. */
export interface ArcPiece {
  readonly kind: 'arc';
  readonly centre: Vector;
  readonly radius: number;
  readonly angle: number;
  readonly outward: Vector;
  readonly tangent: Vector;
  readonly length: number;
}

export type PathPiece = StraightPiece | ArcPiece;

/** One bend of a path: at which point of the route, by how much, rad, and how tightly, m. */
export interface Bend {
  readonly point: number;
  readonly angle: number;
  readonly radius: number;
}

/** A route as straights and arcs, one after the other. */
export interface RoutePath {
  readonly pieces: readonly PathPiece[];
  /** developed length, m: arcs, not corners */
  readonly length: number;
  readonly bends: readonly Bend[];
  /** directions of travel at the two ends */
  readonly startDirection: Vector;
  readonly endDirection: Vector;
}

/** Why a point of a route cannot be run, with the largest radius m that would fit there. */
export interface RouteRefusal {
  readonly point: number;
  readonly reason: 'radius' | 'reversal' | 'same-place' | 'too-few';
  readonly largest: number;
}

export type RouteShape =
  | { readonly ok: true; readonly path: RoutePath }
  | { readonly ok: false; readonly refusals: readonly RouteRefusal[] };

/** Below this angle a corner is straight, within it of half a turn the route turns back, rad. */
const STRAIGHT = 1e-9;
const REVERSED = Math.PI - 1e-6;
/** Points nearer than this are one place, m. */
const SAME = 1e-6;
/** A tangent may be longer than its room by so much of it: rounding. */
const ROUNDING = 1e-9;
/** What is left of a leg counts as a straight from here, m. */
const LEFT = 1e-12;

interface Corner {
  readonly angle: number;
  /** length m that the bend takes of both straights */
  readonly tangent: number;
}

/**
 * Turns the points and bend radii of a route into straights and arcs. A radius that does not fit
 * between its neighbours is refused with the largest that would, its neighbours as they are; so are
 * a reversal and two points at one place. Nothing is made smaller silently.
 */
export function shapeOf(points: readonly RoutePoint[]): RouteShape {
  if (points.length < 2) {
    return { ok: false, refusals: [{ point: 0, reason: 'too-few', largest: 0 }] };
  }
  const legs = points.slice(1).map((point, i) => {
    const from = entryAt(points, i).at;
    return {
      length: distanceBetween(from, point.at),
      direction: unit(subtract(point.at, from)),
    };
  });
  const same = legs.flatMap((leg, i): RouteRefusal[] =>
    leg.length < SAME ? [{ point: i + 1, reason: 'same-place', largest: 0 }] : [],
  );
  if (same.length > 0) return { ok: false, refusals: same };
  const corners = points.map((point, i): Corner => {
    const before = legs[i - 1];
    const after = legs[i];
    if (!before || !after) return { angle: 0, tangent: 0 };
    const angle = angleBetween(before.direction, after.direction);
    if (angle < STRAIGHT) return { angle: 0, tangent: 0 };
    return {
      angle,
      tangent: angle > REVERSED ? Infinity : point.radius * Math.tan(angle / 2),
    };
  });
  const refusals = corners.flatMap((corner, i): RouteRefusal[] => {
    if (corner.angle === 0) return [];
    if (corner.angle > REVERSED) return [{ point: i, reason: 'reversal', largest: 0 }];
    const room = Math.min(
      entryAt(legs, i - 1).length - finite(entryAt(corners, i - 1).tangent),
      entryAt(legs, i).length - finite(entryAt(corners, i + 1).tangent),
    );
    if (corner.tangent <= room * (1 + ROUNDING) + ROUNDING) return [];
    const largest = Math.max(0, room) / Math.tan(corner.angle / 2);
    return [{ point: i, reason: 'radius', largest }];
  });
  if (refusals.length > 0) return { ok: false, refusals };
  const pieces: PathPiece[] = [];
  const bends: Bend[] = [];
  legs.forEach((leg, i) => {
    const start = entryAt(corners, i).tangent;
    const length = Math.max(0, leg.length - start - entryAt(corners, i + 1).tangent);
    const from = along(entryAt(points, i).at, leg.direction, start);
    if (length > LEFT) {
      pieces.push({ kind: 'straight', from, direction: leg.direction, length });
    }
    const next = legs[i + 1];
    const { angle, tangent } = entryAt(corners, i + 1);
    const { radius, at } = entryAt(points, i + 1);
    if (!next || angle === 0) return;
    bends.push({ point: i + 1, angle, radius });
    if (radius <= 0) return;
    // From the start of the arc towards the inside of the corner stands its centre.
    const begin = along(at, leg.direction, -tangent);
    const inward = unit(
      subtract(next.direction, scale(leg.direction, dot(next.direction, leg.direction))),
    );
    pieces.push({
      kind: 'arc',
      centre: along(begin, inward, radius),
      radius,
      angle,
      outward: scale(inward, -1),
      tangent: leg.direction,
      length: radius * angle,
    });
  });
  return {
    ok: true,
    path: {
      pieces,
      length: pieces.reduce((sum, piece) => sum + piece.length, 0),
      bends,
      startDirection: entryAt(legs, 0).direction,
      endDirection: lastOf(legs).direction,
    },
  };
}

const finite = (tangent: number): number => (Number.isFinite(tangent) ? tangent : 0);

/** The place `s` m into a piece. */
export function pieceAt(piece: PathPiece, s: number): Vector {
  if (piece.kind === 'straight') return along(piece.from, piece.direction, s);
  const turned = s / piece.radius;
  return add(
    piece.centre,
    add(
      scale(piece.outward, piece.radius * Math.cos(turned)),
      scale(piece.tangent, piece.radius * Math.sin(turned)),
    ),
  );
}

/** Direction of travel `s` m into a piece. */
export function pieceDirection(piece: PathPiece, s: number): Vector {
  if (piece.kind === 'straight') return piece.direction;
  const turned = s / piece.radius;
  return add(scale(piece.outward, -Math.sin(turned)), scale(piece.tangent, Math.cos(turned)));
}

/** The piece that `s` m along a path lies on, and how far into it; clamped to the ends. */
function placeOn(path: RoutePath, s: number): { piece: PathPiece; into: number } | undefined {
  let before = 0;
  for (const piece of path.pieces) {
    if (s <= before + piece.length) return { piece, into: Math.max(0, s - before) };
    before += piece.length;
  }
  const last = path.pieces.at(-1);
  return last && { piece: last, into: last.length };
}

/** The place `s` m along a path; undefined on a path without a length. */
export function pointAt(path: RoutePath, s: number): Vector | undefined {
  const place = placeOn(path, s);
  return place && pieceAt(place.piece, place.into);
}

/** Direction of travel `s` m along a path. */
export function directionAt(path: RoutePath, s: number): Vector | undefined {
  const place = placeOn(path, s);
  return place && pieceDirection(place.piece, place.into);
}
