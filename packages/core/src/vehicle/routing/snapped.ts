import { entryAt } from '../../numerics/index.ts';
import { distanceBetween, type Vector } from '../geometry/vector.ts';
import type { VehicleAround } from '../obstacles/index.ts';
import { CELL } from './grid.ts';

type Place = [x: number, y: number, z: number];

const SAME = 1e-9;

/** Gives a run of places that share a coordinate with one of them another one; the ends stay. */
function shiftRun(places: Place[], index: number, axis: 0 | 1 | 2, to: number): void {
  const from = entryAt(places, index)[axis];
  const shares = (i: number): boolean =>
    i > 0 && i < places.length - 1 && Math.abs(entryAt(places, i)[axis] - from) < SAME;
  for (const by of [1, -1]) {
    for (let i = by > 0 ? index : index - 1; shares(i); i += by) entryAt(places, i)[axis] = to;
  }
}

/** Places from cell to cell led to the true places of the two ports, less than a cell away. */
export function shiftedToEnds(
  cells: readonly Vector[],
  { from, to }: { readonly from: Vector; readonly to: Vector },
): Vector[] {
  const places = cells.map((cell): Place => [cell[0], cell[1], cell[2]]);
  const last = places.length - 1;
  if (last > 1) {
    for (const axis of [0, 1, 2] as const) {
      const shared = Math.abs(entryAt(places, last)[axis] - entryAt(places, last - 1)[axis]) < SAME;
      if (shared) shiftRun(places, last - 1, axis, to[axis]);
    }
  }
  places[0] = [from[0], from[1], from[2]];
  places[last] = [to[0], to[1], to[2]];
  return places;
}

/** A way whose legs go through the middle of the holes that they take. */
export function holesMet(
  way: readonly Vector[],
  { sheets }: Pick<VehicleAround, 'sheets'>,
): Vector[] {
  const places = way.map((at): Place => [at[0], at[1], at[2]]);
  for (const { holes } of sheets) {
    for (const { centre } of holes) {
      for (let i = 0; i + 1 < places.length; i++) {
        const [a, b] = [entryAt(places, i), entryAt(places, i + 1)];
        const axis = ([0, 1, 2] as const).find((k) => Math.abs(a[k] - b[k]) > SAME);
        if (axis === undefined) continue;
        const on: Place = [a[0], a[1], a[2]];
        on[axis] = centre[axis];
        const between =
          (centre[axis] - a[axis]) * (centre[axis] - b[axis]) < 0 &&
          distanceBetween(on, centre) <= CELL * 1.3;
        if (!between) continue;
        for (const k of [0, 1, 2] as const) {
          if (k === axis) continue;
          shiftRun(places, i, k, centre[k]);
          shiftRun(places, i + 1, k, centre[k]);
        }
      }
    }
  }
  return places;
}
