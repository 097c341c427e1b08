import { entryAt } from '../../numerics/index.ts';
import {
  type RoutePoint,
  type Vector,
  type VehicleAround,
  add,
  checkWay,
  distanceBetween,
  faultKey,
  faultsOf,
  scale,
  shapeOf,
  straightened,
  subtract,
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

/** A way as it can be laid, and how many faults are left on it that nothing here mends. */
export interface LaidWay {
  readonly points: readonly RoutePoint[];
  readonly faults: number;
}

/** A way over cells as few corners with bends, none of which brings a fault where that can be. */
export function laidWay(places: readonly Vector[], thick: number, around: VehicleAround): LaidWay {
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
  const faulty = (way: readonly RoutePoint[]): number => faults(way)?.length ?? Infinity;
  let straight: readonly RoutePoint[] = [];
  for (const off of NEAR_ENOUGH) {
    const corners = simplified(places, off);
    const points = corners.map((at, i): RoutePoint => ({
      at: i === 0 || i === corners.length - 1 ? at : rounded(at),
      radius: 0,
    }));
    // Straightened afterwards: a way that leads into something is let through the midst of it.
    const past = [points, ...keptOff(points, thick, around)];
    straight = straightened(
      past.reduce((best, way) => (faulty(way) < faulty(best) ? way : best)),
      faults,
      worth,
    );
    if (faulty(straight) === 0) break;
  }
  const bent = (share: number): readonly RoutePoint[] =>
    straight.map((point, i) =>
      i === 0 || i === straight.length - 1
        ? point
        : { ...point, radius: Math.ceil((radius * share) / 0.005) * 0.005 },
    );
  // A bend cuts its corner: the widest that leads into nothing, else the widest that can be run.
  const ways = SHARES.map(bent).filter((way) => shapeOf(way).ok);
  const clear = ways.find((way) => faulty(way) <= faulty(straight));
  const points = clear ?? ways[0] ?? straight;
  return { points, faults: faulty(points) };
}

/** A way that only grazes something is led past it with so much to spare, m, in so many steps at most. */
const TO_SPARE = 0.005;
const MOST_PUSHES = 4;

/** A way pushed off what it grazes, once more each time: a corner is put where it comes nearest. */
function keptOff(
  way: readonly RoutePoint[],
  thick: number,
  around: VehicleAround,
): readonly (readonly RoutePoint[])[] {
  const tried: (readonly RoutePoint[])[] = [];
  for (let pushed = way; tried.length < MOST_PUSHES; tried.push(pushed)) {
    const shape = shapeOf(pushed);
    if (!shape.ok) break;
    const { near } = checkWay(shape.path, around, { outsideDiameter: thick, sleeve: false });
    const grazed = Object.values(near).find(
      ({ margin, nearest }) => margin < 0 && nearest.distance > 0,
    );
    if (!grazed) break;
    const { at, to, distance } = grazed.nearest;
    const away = scale(subtract(at, to), (TO_SPARE - grazed.margin) / distance);
    pushed = withCorner(pushed, rounded(add(at, away)), at);
  }
  return tried;
}

/** A way with one more corner, on the leg on which a place of it lies. */
function withCorner(
  way: readonly RoutePoint[],
  corner: Vector,
  place: Vector,
): readonly RoutePoint[] {
  const off = (leg: number): number =>
    offLine(place, entryAt(way, leg).at, entryAt(way, leg + 1).at);
  const legs = way.slice(1).map((_, leg) => leg);
  const leg = legs.reduce((best, each) => (off(each) < off(best) ? each : best), 0);
  return way.toSpliced(leg + 1, 0, { at: corner, radius: 0 });
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
