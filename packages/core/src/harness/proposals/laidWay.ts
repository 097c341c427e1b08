import { entryAt } from '../../numerics/index.ts';
import {
  type RoutePoint,
  type Vector,
  type VehicleAround,
  checkWay,
  distanceBetween,
  faultKey,
  faultsOf,
  shapeOf,
  straightened,
} from '../../vehicle/index.ts';

/** Places come in steps of, mm. */
const STEP = 5;

/** A place in whole steps. */
export const rounded = (at: Vector): Vector =>
  at.map((value) => (Math.round((value * 1e3) / STEP) * STEP) / 1e3) as unknown as Vector;

/** Shares of the radius that is asked, widest first. */
const SHARES = [1, 0.8, 0.6, 0.45, 0.3, 0.15, 0] as const;
/** A way may leave the cells that it was found on by so much, m: less where that is in its way. */
const NEAR_ENOUGH = [0.03, 0.015, 0.005] as const;
/** A corner is worth so much way, m. */
const CORNER = 0.08;

/** Length m from corner to corner. */
export const lengthOf = (points: readonly RoutePoint[]): number =>
  points.slice(1).reduce((sum, { at }, i) => sum + distanceBetween(at, entryAt(points, i).at), 0);

/** A way over cells as few corners with bends, none of which brings a fault. */
export function laidWay(
  places: readonly Vector[],
  thick: number,
  around: VehicleAround,
): readonly RoutePoint[] {
  const radius = 6 * thick;
  const faults = (way: readonly RoutePoint[]): readonly string[] | undefined => {
    const shape = shapeOf(way);
    if (!shape.ok) return undefined;
    const check = checkWay(shape.path, around, { outsideDiameter: thick, sleeve: false });
    return faultsOf(check, around)
      .filter(({ kind }) => kind !== 'cabin' && kind !== 'splash')
      .map(faultKey);
  };
  const worth = (way: readonly RoutePoint[]): number => lengthOf(way) + CORNER * way.length;
  let straight: readonly RoutePoint[] = [];
  for (const off of NEAR_ENOUGH) {
    const corners = simplified(places, off);
    const points = corners.map((at, i): RoutePoint => ({
      at: i === 0 || i === corners.length - 1 ? at : rounded(at),
      radius: 0,
    }));
    straight = straightened(points, faults, worth);
    if (faults(straight)?.length === 0) break;
  }
  const bent = (share: number): readonly RoutePoint[] =>
    straight.map((point, i) =>
      i === 0 || i === straight.length - 1
        ? point
        : { ...point, radius: Math.ceil((radius * share) / 0.005) * 0.005 },
    );
  return SHARES.map(bent).find((way) => shapeOf(way).ok) ?? straight;
}

/** The corners of a way that lie further than so much from the line through those kept. */
function simplified(places: readonly Vector[], off: number): readonly Vector[] {
  const [first, last] = [places[0], places.at(-1)];
  if (!first || !last || places.length <= 2) return places;
  let worst = 0;
  let at = 0;
  for (let i = 1; i + 1 < places.length; i++) {
    const far = offLine(entryAt(places, i), first, last);
    if (far > worst) {
      worst = far;
      at = i;
    }
  }
  if (worst <= off) return [first, last];
  return [
    ...simplified(places.slice(0, at + 1), off).slice(0, -1),
    ...simplified(places.slice(at), off),
  ];
}

function offLine(place: Vector, from: Vector, to: Vector): number {
  const d = to.map((value, k) => value - (from[k] ?? 0));
  const p = place.map((value, k) => value - (from[k] ?? 0));
  const square = d.reduce((sum, value) => sum + value * value, 0);
  const t =
    square === 0
      ? 0
      : Math.min(
          1,
          Math.max(0, p.reduce((sum, value, k) => sum + value * (d[k] ?? 0), 0) / square),
        );
  return Math.hypot(...p.map((value, k) => value - t * (d[k] ?? 0)));
}
