import {
  type Fault,
  type VehicleAround,
  type WayCheck,
  checkWay,
  comesTooNear,
  faultKey,
  faultsOf,
} from '../obstacles/index.ts';
import { type RoutePoint, shapeOf } from '../geometry/path.ts';
import {
  type Vector,
  along,
  distanceBetween,
  norm,
  scale,
  subtract,
  unit,
} from '../geometry/vector.ts';
import type { RoutedLine } from '../routes/routedLine.ts';

/** Something with a way whose corners may be moved. */
export type MovableWay = Pick<
  RoutedLine,
  'points' | 'check' | 'outsideDiameter' | 'sleeve' | 'shielded'
>;

/** How far a corner is moved at most, and in which steps, m. */
const FURTHEST = 0.8;
const STEP = 0.01;
/** Whole millimetres: what is stored is what was tried. */
const rounded = ([x, y, z]: Vector): Vector =>
  scale([Math.round(x * 1e3), Math.round(y * 1e3), Math.round(z * 1e3)], 1e-3);

/** What a line would meet along other points; undefined where they cannot be run. */
export function meetsAlong(
  line: MovableWay,
  points: readonly RoutePoint[],
  around: VehicleAround,
  { sleeve, shielded }: Pick<MovableWay, 'sleeve' | 'shielded'> = line,
): WayCheck | undefined {
  const shape = shapeOf(points);
  if (!shape.ok) return undefined;
  const { outsideDiameter } = line;
  return checkWay(shape.path, around, { outsideDiameter, sleeve, shielded });
}

/** Whether another way has no fault that the present one has not, and none that it is to be rid of. */
export function isNoWorse(
  line: MovableWay,
  points: readonly RoutePoint[],
  around: VehicleAround,
  rid: (fault: Fault) => boolean = () => false,
): boolean {
  const { check } = line;
  if (!check) return true;
  const shape = shapeOf(points);
  if (!shape.ok) return false;
  // Most ways fail at what they are to be rid of: that is looked at first, and by itself.
  if (comesTooNear(shape.path, around.obstacles.filter(rid), line)) return false;
  const before = new Set(faultsOf(check, around).map(faultKey));
  return faultsOf(checkWay(shape.path, around, line, 0), around).every(
    (fault) => before.has(faultKey(fault)) && !rid(fault),
  );
}

/** Corners from nearest to furthest from a place. */
const cornersBy = (line: MovableWay, place: Vector): number[] =>
  line.points
    .map((point, i) => ({ i, distance: distanceBetween(point.at, place) }))
    .slice(1, -1)
    .sort((a, b) => a.distance - b.distance)
    .map(({ i }) => i);

const compass: readonly (readonly [words: string, direction: Vector])[] = [
  ['up', [0, 0, 1]],
  ['to the left', [0, 1, 0]],
  ['to the right', [0, -1, 0]],
  ['down', [0, 0, -1]],
  ['forward', [1, 0, 0]],
  ['back', [-1, 0, 0]],
];

/** Which corners are moved together: the nearest, the next, both. */
function cornerSets(line: MovableWay, place: Vector): readonly (readonly number[])[] {
  const [first, second] = cornersBy(line, place);
  if (first === undefined) return [];
  return second === undefined ? [[first]] : [[first], [second], [first, second]];
}

/** Corners of a way moved, and how. */
export interface MovedPoints {
  /** which points of the way, the first end being 0 */
  readonly moved: readonly number[];
  readonly points: readonly RoutePoint[];
  readonly words: string;
}

/** The least move of one corner, or of two, that rids a way of a fault without another. */
export function movedPoints(
  line: MovableWay,
  around: VehicleAround,
  fault: { readonly place: Vector; readonly from: Vector; readonly what: string },
  rid: (fault: Fault) => boolean,
): MovedPoints | undefined {
  if (!line.check) return undefined;
  const apart = subtract(fault.place, fault.from);
  const away: readonly (readonly [string, Vector])[] =
    norm(apart) > 0 ? [[`away from ${fault.what}`, unit(apart)]] : [];
  const sets = cornerSets(line, fault.place);
  for (let by = STEP; by <= FURTHEST; by += by < 0.2 ? STEP : 4 * STEP) {
    for (const [words, direction] of [...away, ...compass]) {
      for (const moved of sets) {
        const points = line.points.map((point, k) =>
          moved.includes(k) ? { ...point, at: rounded(along(point.at, direction, by)) } : point,
        );
        if (!isNoWorse(line, points, around, rid)) continue;
        const which = moved.length === 1 ? `corner ${moved[0]}` : `corners ${moved.join(' and ')}`;
        return { moved, points, words: `Move ${which} by ${Math.round(by * 1e3)} mm, ${words}` };
      }
    }
  }
  return undefined;
}
