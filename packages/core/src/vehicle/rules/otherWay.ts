import type { BuildCommand } from '../../model/index.ts';
import { quantity } from '../../quantities/index.ts';
import type { Cure } from '../../results/index.ts';
import type { VehicleChecked } from '../checked.ts';
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
import {
  type Fault,
  type VehicleAround,
  type WayCheck,
  checkWay,
  faultKey,
  faultsOf,
} from '../obstacles/index.ts';
import { type RoutedLine, carriesFuel } from '../routes/routedLine.ts';
import { cornerId, nameOf } from './onLines.ts';

/** How far a corner is moved at most, and in which steps, m. */
const FURTHEST = 0.8;
const STEP = 0.01;
/** Whole millimetres: what is stored is what was tried. */
const rounded = ([x, y, z]: Vector): Vector =>
  scale([Math.round(x * 1e3), Math.round(y * 1e3), Math.round(z * 1e3)], 1e-3);

/** The surroundings as a line sees them. */
export const aroundOf = ({ map }: VehicleChecked, line: RoutedLine): VehicleAround =>
  carriesFuel(line.carries)
    ? { ...map.around, obstacles: [...map.around.obstacles, ...map.cables] }
    : map.around;

/** What a line would meet along other points; undefined where they cannot be run. */
function meetsAlong(
  line: RoutedLine,
  points: readonly RoutePoint[],
  around: VehicleAround,
  { sleeve, shielded }: Pick<RoutedLine, 'sleeve' | 'shielded'> = line,
): WayCheck | undefined {
  const shape = shapeOf(points);
  if (!shape.ok) return undefined;
  const { outsideDiameter } = line;
  return checkWay(shape.path, around, { outsideDiameter, sleeve, shielded });
}

/** What a line would meet along other points, in the surroundings as it sees them. */
export const checkAlong = (
  checked: VehicleChecked,
  line: RoutedLine,
  points: readonly RoutePoint[],
): WayCheck | undefined => meetsAlong(line, points, aroundOf(checked, line));

/** What a line would meet on its way if it were shielded from heat all over. */
export const checkSleeved = (checked: VehicleChecked, line: RoutedLine): WayCheck | undefined =>
  meetsAlong(line, line.points, aroundOf(checked, line), { sleeve: true, shielded: [] });

/** Whether another way has no fault that the present one has not. */
export function isNoWorse(
  line: RoutedLine,
  points: readonly RoutePoint[],
  around: VehicleAround,
  rid: (fault: Fault) => boolean = () => false,
): boolean {
  const { check } = line;
  if (!check) return true;
  const found = meetsAlong(line, points, around);
  if (!found) return false;
  const before = new Set(faultsOf(check, around).map(faultKey));
  return faultsOf(found, around).every((fault) => before.has(faultKey(fault)) && !rid(fault));
}

/** Whether another way is rid of a fault and has no fault that the present one has not. */
export const isBetter = (
  checked: VehicleChecked,
  line: RoutedLine,
  points: readonly RoutePoint[],
  rid: (fault: Fault) => boolean,
): boolean => line.check !== undefined && isNoWorse(line, points, aroundOf(checked, line), rid);

/** Corners from nearest to furthest from a place. */
const cornersBy = (line: RoutedLine, place: Vector): number[] =>
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
function cornerSets(line: RoutedLine, place: Vector): readonly (readonly number[])[] {
  const [first, second] = cornersBy(line, place);
  if (first === undefined) return [];
  return second === undefined ? [[first]] : [[first], [second], [first, second]];
}

/** The least move of one corner, or of two, that rids a way of a fault without another. */
export function movedCorners(
  checked: VehicleChecked,
  line: RoutedLine,
  fault: { readonly place: Vector; readonly from: Vector; readonly what: string },
  rid: (fault: Fault) => boolean,
): Cure<BuildCommand>[] {
  const apart = subtract(fault.place, fault.from);
  const away: readonly (readonly [string, Vector])[] =
    norm(apart) > 0 ? [[`away from ${fault.what}`, unit(apart)]] : [];
  const sets = cornerSets(line, fault.place);
  for (let by = STEP; by <= FURTHEST; by += by < 0.2 ? STEP : 4 * STEP) {
    for (const [words, direction] of [...away, ...compass]) {
      for (const set of sets) {
        const points = line.points.map((point, k) =>
          set.includes(k) ? { ...point, at: rounded(along(point.at, direction, by)) } : point,
        );
        if (!isBetter(checked, line, points, rid)) continue;
        const ids = set.map((k) => ({ k, id: cornerId(checked, line, k) }));
        const which = set.length === 1 ? `corner ${set[0]}` : `corners ${set.join(' and ')}`;
        return [
          {
            text: `Move ${which} by ${Math.round(by * 1e3)} mm, ${words}`,
            command: {
              name: 'set-several',
              label: `Lead the ${nameOf(checked, line).toLowerCase()} another way`,
              changes: ids.flatMap(({ k, id }) =>
                id === undefined
                  ? []
                  : (['x', 'y', 'z'] as const).map((axis, n) => ({
                      path: ['routes', line.routeId, 'points', id, axis],
                      value: quantity((points[k]?.at[n] ?? 0) * 1e3, 'length', 'mm'),
                    })),
              ),
            },
          },
        ];
      }
    }
  }
  return [];
}
