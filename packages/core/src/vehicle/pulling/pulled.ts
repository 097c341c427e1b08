import { type Vector, add, distanceBetween, scale } from '../geometry/vector.ts';

/** A place that was drawn, and where the tape found it. */
export interface Pull {
  readonly drawn: Vector;
  readonly found: Vector;
}

/** What a tape reading says of what stands beside it fades out over this, m. */
const REACH = 0.5;

/** How much a tape reading says of a place so far from it: all of it there, a quarter 0.5 m away. */
const weightAt = (distance: number): number => 1 / (1 + (distance / REACH) ** 2) ** 2;

/**
 * Where a place goes when measured places are pulled to where the tape found them: those go there
 * exactly, what is near goes along, what is far stays.
 */
export function pulled(at: Vector, pulls: readonly Pull[]): Vector {
  let sum = 0;
  let moved: Vector = [0, 0, 0];
  for (const { drawn, found } of pulls) {
    const distance = distanceBetween(at, drawn);
    if (distance < 1e-9) return found;
    // Near a reading its own word counts far above that of the others.
    const weight = weightAt(distance) / distance ** 2;
    const share = weight * weightAt(distance);
    sum += weight;
    moved = add(
      moved,
      scale([found[0] - drawn[0], found[1] - drawn[1], found[2] - drawn[2]], share),
    );
  }
  return sum === 0 ? at : add(at, scale(moved, 1 / sum));
}
