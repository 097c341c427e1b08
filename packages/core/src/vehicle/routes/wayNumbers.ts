import { entryAt } from '../../numerics/index.ts';
import { type RoutePath, type RoutePoint, shapeOf } from '../geometry/path.ts';
import type { Vector } from '../geometry/vector.ts';

/** Places one after another as plain numbers: x, y, z of each, m. */
export const flat = (places: readonly Vector[]): number[] => places.flatMap((at) => [...at]);

/** The places that such numbers stand for. */
export const unflat = (numbers: readonly number[]): Vector[] =>
  Array.from({ length: numbers.length / 3 }, (_, i) => [
    entryAt(numbers, 3 * i),
    entryAt(numbers, 3 * i + 1),
    entryAt(numbers, 3 * i + 2),
  ]);

const corners = (points: readonly number[], radii: readonly number[]): RoutePoint[] =>
  unflat(points).map((at, i) => ({ at, radius: entryAt(radii, i) }));

/** The path through such numbers; one that cannot be run has no figures. */
export function pathThrough(points: readonly number[], radii: readonly number[]): RoutePath {
  const shape = shapeOf(corners(points, radii));
  if (!shape.ok) throw new RangeError('this way cannot be run');
  return shape.path;
}
