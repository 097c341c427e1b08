import { type Box, type Nearest, type Segment, segmentToBox } from './distances.ts';
import type { PathPiece, RoutePath } from './path.ts';
import {
  type Vector,
  add,
  cross,
  distanceBetween,
  dot,
  norm,
  scale,
  subtract,
  unit,
} from './vector.ts';

/** A box that looks somewhere: its middle, its own forward, left and up, and half of each side, m. */
export interface OrientedBox {
  readonly middle: Vector;
  readonly axes: readonly [forward: Vector, left: Vector, up: Vector];
  readonly half: Vector;
}

/**
 * Forward, left and up of something that looks somewhere: first its nose is raised by the pitch,
 * then it is turned to the left by the heading, rad.
 */
export function axesOf({ heading, pitch }: { heading: number; pitch: number }) {
  const [c, s] = [Math.cos(heading), Math.sin(heading)];
  const [p, q] = [Math.cos(pitch), Math.sin(pitch)];
  const forward: Vector = [c * p, s * p, q];
  const left: Vector = [-s, c, 0];
  return [forward, left, cross(forward, left)] as const;
}

const inAxes = (axes: OrientedBox['axes'], v: Vector): Vector => [
  dot(v, axes[0]),
  dot(v, axes[1]),
  dot(v, axes[2]),
];

/** A place as a box sees it: from its middle, along its own axes. */
export const intoFrame = ({ middle, axes }: OrientedBox, place: Vector): Vector =>
  inAxes(axes, subtract(place, middle));

/** The place on the vehicle of a place within a box. */
export const outOfFrame = ({ middle, axes }: OrientedBox, [x, y, z]: Vector): Vector =>
  add(middle, add(scale(axes[0], x), add(scale(axes[1], y), scale(axes[2], z))));

/** A box in its own frame. */
export const ownBox = ({ half }: OrientedBox): Box => ({ low: scale(half, -1), high: half });

/** A box along the axes of the vehicle as one that looks forward. */
export const orientedOf = ({ low, high }: Box): OrientedBox => ({
  middle: scale(add(low, high), 0.5),
  axes: [
    [1, 0, 0],
    [0, 1, 0],
    [0, 0, 1],
  ],
  half: scale(subtract(high, low), 0.5),
});

const SIGNS = [-1, 1] as const;

/** The eight corners of a box. */
export const cornersOfBox = (box: OrientedBox): Vector[] =>
  SIGNS.flatMap((x) =>
    SIGNS.flatMap((y) =>
      SIGNS.map((z) => outOfFrame(box, [x * box.half[0], y * box.half[1], z * box.half[2]])),
    ),
  );

/** The twelve edges of a box. */
export function edgesOfBox(box: OrientedBox): Segment[] {
  const { half } = box;
  return ([0, 1, 2] as const).flatMap((axis) =>
    SIGNS.flatMap((a) =>
      SIGNS.map((b): Segment => {
        const [u, v] = [(axis + 1) % 3, (axis + 2) % 3] as const;
        const end = (sign: number): Vector => {
          const at: [number, number, number] = [0, 0, 0];
          at[axis] = sign * half[axis];
          at[u] = a * (half[u] as number);
          at[v] = b * (half[v] as number);
          return outOfFrame(box, at);
        };
        return { from: end(-1), to: end(1) };
      }),
    ),
  );
}

/** The box along the vehicle's axes around a box that looks somewhere. */
export function boundsOfOriented({ middle, axes, half }: OrientedBox): Box {
  const reach = ([0, 1, 2] as const).map(
    (k) =>
      Math.abs(axes[0][k]) * half[0] +
      Math.abs(axes[1][k]) * half[1] +
      Math.abs(axes[2][k]) * half[2],
  ) as unknown as Vector;
  return { low: subtract(middle, reach), high: add(middle, reach) };
}

/** Where a segment comes nearest to a box that looks somewhere; 0 where it enters. */
export function segmentToOriented({ from, to }: Segment, box: OrientedBox): Nearest {
  const own = { from: intoFrame(box, from), to: intoFrame(box, to) };
  const found = segmentToBox(own, ownBox(box));
  return { ...found, at: outOfFrame(box, found.at), to: outOfFrame(box, found.to) };
}

/**
 * How far apart two boxes lie along the direction that parts them best, m; below 0: how far one has
 * to move to be out of the other. Separating axes: the faces of both and all crossings of edges.
 */
export function separationOf(a: OrientedBox, b: OrientedBox): number {
  const between = subtract(b.middle, a.middle);
  const spread = (box: OrientedBox, axis: Vector): number =>
    Math.abs(dot(box.axes[0], axis)) * box.half[0] +
    Math.abs(dot(box.axes[1], axis)) * box.half[1] +
    Math.abs(dot(box.axes[2], axis)) * box.half[2];
  const crossings = a.axes.flatMap((u) =>
    b.axes.map((v) => cross(u, v)).filter((axis) => norm(axis) > 1e-6),
  );
  let most = -Infinity;
  for (const axis of [...a.axes, ...b.axes, ...crossings.map(unit)]) {
    most = Math.max(most, Math.abs(dot(between, axis)) - spread(a, axis) - spread(b, axis));
  }
  return most;
}

/** Axes that lie along those of the vehicle to this are along them: rounding. */
const ALONG = 1e-12;

/** The same box along the vehicle's axes; undefined for one that is turned by anything but quarters. */
export function alignedBox(box: OrientedBox): Box | undefined {
  const aligned = box.axes.every((axis) => {
    const off = axis.filter((part) => Math.abs(part) > ALONG);
    return off.length === 1;
  });
  return aligned ? boundsOfOriented(box) : undefined;
}

/** Where two boxes along the same axes come nearest; below 0 how deep they lie in one another. */
function alignedToAligned(a: Box, b: Box): Nearest {
  const at: [number, number, number] = [0, 0, 0];
  const to: [number, number, number] = [0, 0, 0];
  let deep = -Infinity;
  for (const k of [0, 1, 2] as const) {
    deep = Math.max(deep, a.low[k] - b.high[k], b.low[k] - a.high[k]);
    if (a.high[k] < b.low[k]) [at[k], to[k]] = [a.high[k], b.low[k]];
    else if (b.high[k] < a.low[k]) [at[k], to[k]] = [a.low[k], b.high[k]];
    else {
      // They meet along this axis: the middle of what they share.
      const middle = (Math.max(a.low[k], b.low[k]) + Math.min(a.high[k], b.high[k])) / 2;
      [at[k], to[k]] = [middle, middle];
    }
  }
  const distance = distanceBetween(at, to);
  return { distance: distance > TOUCH ? distance : Math.min(0, deep), at, to };
}

/** Nearer than this two boxes touch, m: rounding. */
const TOUCH = 1e-12;

/**
 * Where two boxes come nearest; below 0 how deep they lie in one another. Exact: two convex bodies
 * that are apart come nearest on an edge of one of them.
 */
export function orientedToOriented(a: OrientedBox, b: OrientedBox): Nearest {
  const [plainA, plainB] = [alignedBox(a), alignedBox(b)];
  if (plainA && plainB) return alignedToAligned(plainA, plainB);
  let best: Nearest | undefined;
  for (const edge of edgesOfBox(a)) {
    const found = segmentToOriented(edge, b);
    if (!best || found.distance < best.distance) best = found;
  }
  for (const edge of edgesOfBox(b)) {
    const found = segmentToOriented(edge, a);
    if (!best || found.distance < best.distance) {
      best = { distance: found.distance, at: found.to, to: found.at };
    }
  }
  const near = best ?? { distance: 0, at: a.middle, to: b.middle };
  return near.distance > TOUCH ? near : { ...near, distance: Math.min(0, separationOf(a, b)) };
}

const turned = (box: OrientedBox, piece: PathPiece): PathPiece =>
  piece.kind === 'straight'
    ? {
        ...piece,
        from: intoFrame(box, piece.from),
        direction: inAxes(box.axes, piece.direction),
      }
    : {
        ...piece,
        centre: intoFrame(box, piece.centre),
        outward: inAxes(box.axes, piece.outward),
        tangent: inAxes(box.axes, piece.tangent),
      };

/** A path as a box sees it. */
export const pathIntoFrame = (box: OrientedBox, path: RoutePath): RoutePath => ({
  ...path,
  pieces: path.pieces.map((piece) => turned(box, piece)),
  startDirection: inAxes(box.axes, path.startDirection),
  endDirection: inAxes(box.axes, path.endDirection),
});
