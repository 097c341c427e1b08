import type { LineRoute } from '../../model/index.ts';
import { memo, memoByValue } from '../../numerics/index.ts';
import type { Result } from '../../results/index.ts';
import { type RoutePath, type RoutePoint, type RouteRefusal, shapeOf } from '../geometry/path.ts';
import { type NearObstacle, type Stretch, obstacle } from '../obstacles/index.ts';
import type { Obstacle, VehicleAround, WayCheck } from '../obstacles/index.ts';
import { ASKED_BY_CABLE } from '../obstacles/asked.ts';
import { checkWay } from '../obstacles/around.ts';
import { polylineOf } from '../geometry/polyline.ts';
import { vectorOf } from '../places/vectorOf.ts';
import { shielding } from './covers.ts';
import type { Carried, Led } from './led.ts';

/** A line as it runs over the vehicle. */
export interface RoutedLine {
  readonly routeId: string;
  /** id of the line that is led */
  readonly lineId: string;
  readonly circuitId: string | undefined;
  readonly carries: Carried;
  readonly suction: boolean;
  /** all of it is shielded from heat, and else where it is */
  readonly sleeve: boolean;
  readonly shielded: readonly Stretch[];
  /** the places of its ends, and the ports of parts there that it begins and ends at */
  readonly ends: readonly [from: string, to: string];
  readonly ports: Led['ports'];
  readonly rigid: boolean;
  /** it runs from what moves with the engine to what does not, or back */
  readonly crossesToEngine: boolean;
  readonly flexible: boolean;
  readonly outsideDiameter: number;
  /** inside radius m that the line may at least be bent to */
  readonly leastBend: number;
  /** corners with both ends */
  readonly points: readonly RoutePoint[];
  readonly refusals: readonly RouteRefusal[];
  readonly path: RoutePath | undefined;
  /** what its way meets; undefined where the way cannot be run */
  readonly check: WayCheck | undefined;
  /** what leaves it least beyond the room that is asked */
  readonly nearest: NearObstacle | undefined;
  /** developed length with its working; undefined where the way cannot be run */
  readonly length: Result | undefined;
  /** loss coefficient of all its bends in the bore of its hose */
  readonly bendLoss: Result | undefined;
  readonly results: readonly Result[];
}

/** The corners of a way with both ends. */
export const pointsOf = (route: LineRoute, led: Led): readonly RoutePoint[] => [
  { at: led.endsAt[0], radius: 0 },
  ...route.points.map((p) => ({ at: vectorOf(p), radius: p.radius.value })),
  { at: led.endsAt[1], radius: 0 },
];

/** The straights and arcs of a way, as before while its corners and ends are where they were. */
const shapeAlong = memoByValue((_route: LineRoute, points: readonly RoutePoint[]) =>
  shapeOf(points),
);

/** Whether fuel or its vapour runs in a line. */
export const carriesFuel = (carries: Carried): boolean =>
  carries === 'fuel' || carries === 'vent' || carries === 'vapour-return';

/** Battery cables that have a way, as something fuel keeps away from. */
export function cablesOf(
  routes: readonly { readonly route: LineRoute; readonly led: Led }[],
): Obstacle[] {
  return routes.flatMap(({ route, led }): Obstacle[] => {
    if (led.carries !== 'battery-cable') return [];
    const shape = shapeAlong(route, pointsOf(route, led));
    return shape.ok ? [cableAlong(shape.path, led.id, led.name, led.outsideDiameter.value)] : [];
  });
}

/** A cable along a path as an obstacle, made once. */
const cableAlong = memo((path: RoutePath, id: string, name: string, diameter: number): Obstacle =>
  obstacle({
    kind: 'cable',
    id,
    name,
    path: ['otherLines', id],
    shape: { kind: 'rod', points: polylineOf(path), radius: diameter / 2 },
    travel: 0,
    asks: ASKED_BY_CABLE,
    asksOfSleeved: ASKED_BY_CABLE,
  }),
);

/** The surroundings as one line sees them: only fuel keeps away from battery cables. */
export const seenBy = (
  around: VehicleAround,
  cables: readonly Obstacle[],
  led: Led,
): VehicleAround =>
  carriesFuel(led.carries) && cables.length > 0
    ? { ...around, obstacles: [...around.obstacles, ...cables] }
    : around;

/** Solids and parts are gone round, not kept away from: what is told as nearest is anything else. */
export function nearestOf(check: WayCheck): NearObstacle | undefined {
  let worst: NearObstacle | undefined;
  for (const near of Object.values(check.near)) {
    const goneRound = near.kind === 'solid' || near.kind === 'component';
    if (goneRound && near.margin >= 0) continue;
    if (!worst || near.margin < worst.margin) worst = near;
  }
  return worst;
}

/** A way as geometry, and what it meets; without its figures. */
export function runLine(
  route: LineRoute,
  led: Led,
  around: VehicleAround,
): Omit<RoutedLine, 'length' | 'bendLoss' | 'results'> {
  const points = pointsOf(route, led);
  const shape = shapeAlong(route, points);
  const { outsideDiameter } = led;
  const check = shape.ok
    ? checkWay(shape.path, around, {
        outsideDiameter: outsideDiameter.value,
        ...shielding(route.covers),
      })
    : undefined;
  return {
    routeId: route.id,
    lineId: led.id,
    circuitId: led.circuitId,
    carries: led.carries,
    suction: led.suction,
    ...shielding(route.covers),
    ends: [led.ends[0].id, led.ends[1].id],
    ports: led.ports,
    rigid: led.rigid,
    crossesToEngine: led.ends[0].movesWithEngine !== led.ends[1].movesWithEngine,
    flexible: route.flexible,
    outsideDiameter: outsideDiameter.value,
    leastBend: led.leastBend,
    points,
    refusals: shape.ok ? [] : shape.refusals,
    path: shape.ok ? shape.path : undefined,
    check,
    nearest: check && nearestOf(check),
  };
}
