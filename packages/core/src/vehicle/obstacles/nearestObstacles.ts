import { memo, memoOfPair } from '../../numerics/index.ts';
import { boxToBox, grown, boundsOf } from '../geometry/bounds.ts';
import type { Box, Nearest } from '../geometry/distances.ts';
import { ownBox, pathIntoFrame } from '../geometry/orientedBox.ts';
import type { RoutePath } from '../geometry/path.ts';
import { polylineOf } from '../geometry/polyline.ts';
import { stretchOf, wayOutOf } from '../geometry/stretch.ts';
import { type Obstacle, type ObstacleKind, nearestTo } from './obstacle.ts';

/** A thing near a line: where they come nearest, what lies between their skins and what should. */
export interface NearObstacle {
  readonly kind: ObstacleKind;
  readonly id: string;
  readonly name: string;
  readonly nearest: Nearest;
  /** between skins, over all movement, m */
  readonly clearance: number;
  readonly needed: number;
  /** clearance beyond what is needed, m */
  readonly margin: number;
  /** the stretch of the line that was looked at, m from its beginning */
  readonly from: number;
  readonly to: number;
}

/** Rounding of places, m. */
export const ROUNDING = 1e-9;

/** A stretch of a line, m from its beginning. */
export interface Stretch {
  readonly from: number;
  readonly to: number;
}

/** A line as far as room goes. */
export interface LineThickness {
  readonly outsideDiameter: number;
  /** all of it is shielded from heat */
  readonly sleeve: boolean;
  /** where it is shielded from heat, if not everywhere */
  readonly shielded?: readonly Stretch[];
}

/** Of every kind of thing the one that leaves least beyond what it asks. */
export type NearByKind = Partial<Readonly<Record<ObstacleKind, NearObstacle>>>;

/** From its ends a line may leave the solid it is fastened to: that far it is not in its way. */
function freeStretch(path: RoutePath, { shape }: Obstacle, thickness: number): Stretch {
  if (shape.kind === 'rod') return { from: 0, to: path.length };
  const own = shape.kind === 'box' ? path : pathIntoFrame(shape.body, path);
  const box = grown(shape.kind === 'box' ? shape.box : ownBox(shape.body), thickness);
  return { from: wayOutOf(own, box, 'start'), to: path.length - wayOutOf(own, box, 'end') };
}

/** A line cut into what is shielded from heat and what is not, in order. */
function shieldedParts(length: number, { sleeve, shielded }: LineThickness) {
  const parts: { readonly stretch: Stretch; readonly sleeve: boolean }[] = [];
  let done = 0;
  const ranges = sleeve ? [] : [...(shielded ?? [])].sort((a, b) => a.from - b.from);
  for (const { from, to } of ranges) {
    const [begin, end] = [Math.max(done, from), Math.min(length, to)];
    if (end <= begin) continue;
    if (begin > done) parts.push({ stretch: { from: done, to: begin }, sleeve: false });
    parts.push({ stretch: { from: begin, to: end }, sleeve: true });
    done = end;
  }
  if (done < length) parts.push({ stretch: { from: done, to: length }, sleeve });
  return parts;
}

function nearOn(
  path: RoutePath,
  thing: Obstacle,
  line: LineThickness,
  { from, to }: Stretch,
  around: Box | undefined,
): NearObstacle | undefined {
  if (to <= from) return undefined;
  const whole = from === 0 && to === path.length;
  const nearest = nearestTo(whole ? path : stretchOf(path, from, to), thing.shape, around);
  if (!nearest) return undefined;
  const clearance = nearest.distance - thing.travel - line.outsideDiameter / 2;
  const needed = line.sleeve ? thing.asksOfSleeved : thing.asks;
  const { kind, id, name } = thing;
  return { kind, id, name, nearest, clearance, needed, margin: clearance - needed, from, to };
}

/** How near a line comes to one thing; undefined where all of it belongs to it. */
export function nearOf(
  path: RoutePath,
  thing: Obstacle,
  line: LineThickness,
  around?: Box,
): NearObstacle | undefined {
  switch (thing.kind) {
    case 'solid':
    case 'component': {
      const free = freeStretch(path, thing, line.outsideDiameter);
      return nearOn(path, thing, line, free, around);
    }
    case 'hot': {
      let worst: NearObstacle | undefined;
      for (const { stretch, sleeve } of shieldedParts(path.length, line)) {
        const near = nearOn(path, thing, { ...line, sleeve }, stretch, around);
        if (near && (!worst || near.margin < worst.margin)) worst = near;
      }
      return worst;
    }
    case 'moving':
    case 'edge':
    case 'cable':
      return nearOn(path, thing, line, { from: 0, to: path.length }, around);
  }
}

/** A box around a path: a chord of the drawn line leaves its arc by less than a millimetre. */
const boxAround = memo((path: RoutePath): Box => grown(boundsOf(polylineOf(path)), 1e-3));

/** How near a line comes to a thing, as before while neither has changed. */
const knownNear = memoOfPair((path: RoutePath, thing: Obstacle, line: LineThickness) =>
  nearOf(path, thing, line, boxAround(path)),
);

/** What a thing leaves a line at least beyond what it asks, by the boxes around both, m. */
function leastMargin(own: Box, thing: Obstacle, line: LineThickness): number {
  const apart = boxToBox(own, thing.bounds);
  // Where bounds meet they say nothing of how deep one may lie in the other.
  if (apart === 0) return -Infinity;
  return apart - line.outsideDiameter / 2 - (line.sleeve ? thing.asksOfSleeved : thing.asks);
}

/** Whether a line comes nearer to one of some things than that asks. */
export function comesTooNear(
  path: RoutePath,
  things: readonly Obstacle[],
  line: LineThickness,
): boolean {
  const own = boxAround(path);
  return things.some(
    (thing) =>
      leastMargin(own, thing, line) < 0 &&
      (nearOf(path, thing, line, own)?.margin ?? 0) < -ROUNDING,
  );
}

/**
 * Of every kind of thing the one that leaves a line least room. Things whose bounds leave more than
 * what was found already, or than what is asked for, m, are not looked at.
 */
export function nearestObstacles(
  path: RoutePath,
  things: readonly Obstacle[],
  line: LineThickness,
  within = Infinity,
): NearByKind {
  const own = boxAround(path);
  const byLeast = things
    .map((thing) => ({ thing, atLeast: leastMargin(own, thing, line) }))
    .filter(({ atLeast }) => atLeast < within)
    .sort((a, b) => a.atLeast - b.atLeast);
  const found: Partial<Record<ObstacleKind, NearObstacle>> = {};
  for (const { thing, atLeast } of byLeast) {
    const best = found[thing.kind];
    if (best && best.margin <= atLeast) continue;
    const near = knownNear(path, thing, line);
    if (near && (!best || near.margin < best.margin)) found[thing.kind] = near;
  }
  return found;
}
