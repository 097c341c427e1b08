import { boxToBox, grown, boundsOf } from '../geometry/bounds.ts';
import type { Box, Nearest } from '../geometry/distances.ts';
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

/** A line as far as room goes. */
export interface LineThickness {
  readonly outsideDiameter: number;
  readonly sleeve: boolean;
}

/** Of every kind of thing the one that leaves least beyond what it asks. */
export type NearByKind = Partial<Readonly<Record<ObstacleKind, NearObstacle>>>;

/** From its ends a line may leave the solid it is fastened to: that far it is not in its way. */
function freeStretch(path: RoutePath, { shape }: Obstacle, thickness: number): [number, number] {
  if (shape.kind !== 'box') return [0, path.length];
  const box = grown(shape.box, thickness);
  return [wayOutOf(path, box, 'start'), path.length - wayOutOf(path, box, 'end')];
}

/** How near a line comes to one thing; undefined where all of it belongs to it. */
export function nearOf(
  path: RoutePath,
  thing: Obstacle,
  { outsideDiameter, sleeve }: LineThickness,
  around?: Box,
): NearObstacle | undefined {
  const [from, to] =
    thing.kind === 'solid' ? freeStretch(path, thing, outsideDiameter) : [0, path.length];
  if (to <= from) return undefined;
  const whole = from === 0 && to === path.length;
  const nearest = nearestTo(whole ? path : stretchOf(path, from, to), thing.shape, around);
  if (!nearest) return undefined;
  const clearance = nearest.distance - thing.travel - outsideDiameter / 2;
  const needed = sleeve ? thing.asksOfSleeved : thing.asks;
  const { kind, id, name } = thing;
  return { kind, id, name, nearest, clearance, needed, margin: clearance - needed, from, to };
}

/**
 * Of every kind of thing the one that leaves a line least room. Things whose bounds leave more than
 * what was found already are not looked at.
 */
export function nearestObstacles(
  path: RoutePath,
  things: readonly Obstacle[],
  line: LineThickness,
): NearByKind {
  // A chord of the drawn line leaves its arc by less than a millimetre.
  const own = grown(boundsOf(polylineOf(path)), 1e-3);
  const least = (thing: Obstacle): number =>
    boxToBox(own, thing.bounds) -
    line.outsideDiameter / 2 -
    (line.sleeve ? thing.asksOfSleeved : thing.asks);
  const byLeast = things
    .map((thing) => ({ thing, atLeast: least(thing) }))
    .sort((a, b) => a.atLeast - b.atLeast);
  const found: Partial<Record<ObstacleKind, NearObstacle>> = {};
  for (const { thing, atLeast } of byLeast) {
    const best = found[thing.kind];
    if (best && best.margin <= atLeast) continue;
    const near = nearOf(path, thing, line, own);
    if (near && (!best || near.margin < best.margin)) found[thing.kind] = near;
  }
  return found;
}
