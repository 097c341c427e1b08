import type { BuildCommand, BuildFinding } from '../../model/index.ts';
import { quantity } from '../../quantities/index.ts';
import type { Cure } from '../../results/index.ts';
import type { VehicleChecked, VehicleRule } from '../checked.ts';
import { type RoutePoint, shapeOf } from '../geometry/path.ts';
import { type Vector, along, norm, scale, subtract, unit } from '../geometry/vector.ts';
import { type NearHeat, type RoutedLine, heatNear } from '../routes/routeStage.ts';
import { cornerId, nameOf, onLines, onMap } from './onLines.ts';

/** How far a corner is moved at most to get out of the heat, and in which steps, m. */
const FURTHEST = 0.6;
const STEP = 0.01;

/** Least clearance beyond what is needed along these points; undefined where it cannot be run. */
function marginOf(
  checked: VehicleChecked,
  line: RoutedLine,
  points: readonly RoutePoint[],
  sleeve: boolean,
): number | undefined {
  const shape = shapeOf(points);
  if (!shape.ok) return undefined;
  const near = heatNear({
    path: shape.path,
    hotRuns: checked.hotRuns,
    outsideDiameter: line.outsideDiameter,
    sleeve,
  });
  return Math.min(...near.map((heat) => heat.margin));
}

const sleeved = (checked: VehicleChecked, line: RoutedLine): Cure<BuildCommand>[] => {
  const margin = marginOf(checked, line, line.points, true);
  return line.sleeve || margin === undefined || margin < 0
    ? []
    : [
        {
          text: 'Put a heat sleeve over it',
          command: { name: 'set', path: ['routes', line.routeId, 'sleeve'], value: true },
        },
      ];
};

/** Corners from nearest to furthest from where it is too hot. */
const cornersBy = (line: RoutedLine, place: Vector): number[] =>
  line.points
    .map((point, i) => ({ i, distance: norm(subtract(point.at, place)) }))
    .slice(1, -1)
    .sort((a, b) => a.distance - b.distance)
    .map(({ i }) => i);

/** The least move of one corner, straight away from the heat, that leaves room enough. */
function movedAway(
  checked: VehicleChecked,
  line: RoutedLine,
  heat: NearHeat,
): Cure<BuildCommand>[] {
  const apart = subtract(heat.nearest.at, heat.nearest.to);
  const away: Vector = norm(apart) > 0 ? unit(apart) : [0, 0, 1];
  // Whole millimetres: what is stored is what was tried.
  const rounded = (at: Vector): Vector => {
    const [x, y, z] = scale(at, 1e3);
    return scale([Math.round(x), Math.round(y), Math.round(z)], 1e-3);
  };
  for (const i of cornersBy(line, heat.nearest.at).slice(0, 2)) {
    const corner = cornerId(checked, line, i);
    if (corner === undefined) continue;
    for (let by = STEP; by <= FURTHEST; by += STEP) {
      const points = line.points.map((point, k) =>
        k === i ? { ...point, at: rounded(along(point.at, away, by)) } : point,
      );
      const margin = marginOf(checked, line, points, line.sleeve);
      if (margin === undefined || margin < 0) continue;
      const to = points[i]?.at ?? [0, 0, 0];
      return [
        {
          text: `Move corner ${i} by ${Math.round(by * 1e3)} mm, away from the heat`,
          command: {
            name: 'set-several',
            label: `Lead the ${nameOf(checked, line).toLowerCase()} away from the heat`,
            changes: (['x', 'y', 'z'] as const).map((axis, k) => ({
              path: ['routes', line.routeId, 'points', corner, axis],
              value: quantity((to[k] ?? 0) * 1e3, 'length', 'mm'),
            })),
          },
        },
      ];
    }
  }
  return [];
}

/** A line too near to a hot pipe. */
export const routeHeat: VehicleRule = {
  id: 'route.heat',
  source:
    'at least 100 mm from a bare exhaust, 50 with a heat sleeve, twice from a turbine, never touching',
  check: onLines((checked, line) => {
    const { heat } = line;
    if (!heat || heat.margin >= 0) return [];
    const touching = heat.clearance <= 0;
    const finding: BuildFinding = {
      id: `route.heat:${line.elementId}`,
      rule: 'route.heat',
      severity: touching ? 'stop' : 'warn',
      where: onMap(line),
      title: touching ? 'Line touches a hot pipe' : 'Line is too near to a hot pipe',
      because: `${nameOf(checked, line)}: {clearance} from ${heat.name.toLowerCase()}; ${line.sleeve ? 'in its sleeve' : 'bare'} it needs {needed}`,
      numbers: {
        clearance: { value: heat.clearance, kind: 'length' },
        needed: { value: heat.needed, kind: 'length' },
      },
      measured: { value: heat.clearance, kind: 'length' },
      limit: { value: heat.needed, kind: 'length' },
      worse: 'lower',
      cures: () => {
        const found = [...movedAway(checked, line, heat), ...sleeved(checked, line)];
        return found.length > 0 ? found : [{ text: 'Lead it another way, or shield the pipe' }];
      },
    };
    return [finding];
  }),
};
