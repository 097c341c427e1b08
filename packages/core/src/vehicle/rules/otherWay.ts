import type { BuildCommand } from '../../model/index.ts';
import { quantity } from '../../quantities/index.ts';
import type { Cure } from '../../results/index.ts';
import type { VehicleChecked } from '../checked.ts';
import type { RoutePoint } from '../geometry/path.ts';
import type { Vector } from '../geometry/vector.ts';
import type { Fault, VehicleAround, WayCheck } from '../obstacles/index.ts';
import { type RoutedLine, carriesFuel } from '../routes/routedLine.ts';
import { isNoWorse, meetsAlong, movedPoints } from '../routing/movedPoints.ts';
import { cornerId, nameOf } from './onLines.ts';

/** The surroundings as a line sees them. */
export const aroundOf = ({ map }: VehicleChecked, line: RoutedLine): VehicleAround =>
  carriesFuel(line.carries)
    ? { ...map.around, obstacles: [...map.around.obstacles, ...map.cables] }
    : map.around;

/** What a line would meet along other points, in the surroundings as it sees them. */
export const checkAlong = (
  checked: VehicleChecked,
  line: RoutedLine,
  points: readonly RoutePoint[],
): WayCheck | undefined => meetsAlong(line, points, aroundOf(checked, line));

/** What a line would meet on its way if it were shielded from heat all over. */
export const checkSleeved = (checked: VehicleChecked, line: RoutedLine): WayCheck | undefined =>
  meetsAlong(line, line.points, aroundOf(checked, line), { sleeve: true, shielded: [] });

/** Whether another way is rid of a fault and has no fault that the present one has not. */
export const isBetter = (
  checked: VehicleChecked,
  line: RoutedLine,
  points: readonly RoutePoint[],
  rid: (fault: Fault) => boolean,
): boolean => line.check !== undefined && isNoWorse(line, points, aroundOf(checked, line), rid);

/** The least move of one corner, or of two, that rids a way of a fault without another. */
export function movedCorners(
  checked: VehicleChecked,
  line: RoutedLine,
  fault: { readonly place: Vector; readonly from: Vector; readonly what: string },
  rid: (fault: Fault) => boolean,
): Cure<BuildCommand>[] {
  const found = movedPoints(line, aroundOf(checked, line), fault, rid);
  if (!found) return [];
  return [
    {
      text: found.words,
      command: {
        name: 'set-several',
        label: `Re-route the ${nameOf(checked, line).toLowerCase()}`,
        changes: found.moved.flatMap((k) => {
          const id = cornerId(checked, line, k);
          return id === undefined
            ? []
            : (['x', 'y', 'z'] as const).map((axis, n) => ({
                path: ['routes', line.routeId, 'points', id, axis],
                value: quantity((found.points[k]?.at[n] ?? 0) * 1e3, 'length', 'mm'),
              }));
        }),
      },
    },
  ];
}
