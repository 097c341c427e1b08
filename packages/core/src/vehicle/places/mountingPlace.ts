import type { MountingLine } from '../../model/index.ts';
import { pointToBox, pointToSegment } from '../geometry/distances.ts';
import { type Vector, distanceBetween } from '../geometry/vector.ts';
import { type Obstacle, type VehicleAround, boundsOfShape } from '../obstacles/index.ts';
import { entryAt } from '../../numerics/index.ts';
import { vectorOf } from './vectorOf.ts';

/** How far from its mounting line a bracket may carry a thing, m. */
const BRACKET = 0.2;
/** Half the size of what is mounted, where its own is not known, m. */
const HALF_SIZE = 0.04;

/** Where a thing may be fastened: the line that carries it, and how far from that it hangs, m. */
export interface MountingPlace {
  readonly line: MountingLine;
  readonly bracket: number;
}

function distanceTo(place: Vector, { shape, travel }: Obstacle): number {
  if (shape.kind !== 'rod') return pointToBox(place, boundsOfShape(shape)).distance - travel;
  const { points, radius } = shape;
  const pieces = points.slice(1).map((to, i) => ({ from: entryAt(points, i), to }));
  return Math.min(...pieces.map((p) => pointToSegment(place, p).distance)) - radius - travel;
}

/** Whether something of the usual size has room at a place: off the ground, clear of what is there. */
const hasRoom = (place: Vector, around: VehicleAround): boolean =>
  place[2] - HALF_SIZE >= around.lowestAllowed &&
  around.obstacles.every(
    (thing) =>
      distanceTo(place, thing) - (thing.kind === 'solid' ? 0 : HALF_SIZE) >=
      (thing.kind === 'solid' ? 0 : thing.asks),
  );

/**
 * The mounting line that carries something at a place by a bracket, the nearest of several;
 * undefined where none is near enough or where there is no room.
 */
export function mountingPlace(
  place: Vector,
  lines: readonly MountingLine[],
  around: VehicleAround,
): MountingPlace | undefined {
  let best: MountingPlace | undefined;
  for (const line of lines) {
    const { to } = pointToSegment(place, { from: vectorOf(line.from), to: vectorOf(line.to) });
    const bracket = distanceBetween(place, to);
    if (bracket <= BRACKET && (!best || bracket < best.bracket)) best = { line, bracket };
  }
  return best && hasRoom(place, around) ? best : undefined;
}
