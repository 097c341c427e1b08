import type { BuildCommand } from '../../model/index.ts';
import { quantity } from '../../quantities/index.ts';
import type { Cure } from '../../results/index.ts';
import {
  type Fault,
  type MovableWay,
  type Vector,
  autoRoute,
  checkWay,
  movedPoints,
  vehicleBox,
  wayAsPoints,
} from '../../vehicle/index.ts';
import type { HarnessChecked } from '../checked.ts';
import type { LaidBundle } from './onBundles.ts';

const movable = (
  { led, diameter, heatSleeve }: LaidBundle,
  { map }: HarnessChecked,
): MovableWay => {
  const line = { outsideDiameter: diameter, sleeve: heatSleeve !== undefined };
  return {
    points: led.points,
    check: led.path && checkWay(led.path, map.around, line),
    ...line,
    shielded: [],
  };
};

/** The least move of one or two corners of a segment that rids it of a fault without another. */
export function movedCorners(
  checked: HarnessChecked,
  bundle: LaidBundle,
  fault: { readonly place: Vector; readonly from: Vector; readonly what: string },
  rid: (fault: Fault) => boolean,
): Cure<BuildCommand>[] {
  const stored = checked.decidedHarness.segments.find(({ id }) => id === bundle.segmentId);
  const found = stored && movedPoints(movable(bundle, checked), checked.map.around, fault, rid);
  if (!stored || !found) return [];
  return [
    {
      text: found.words,
      command: {
        name: 'set-several',
        label: `Re-route “${bundle.name}”`.slice(0, 120),
        changes: found.moved.flatMap((k) => {
          const id = stored.points[k - 1]?.id;
          return id === undefined
            ? []
            : (['x', 'y', 'z'] as const).map((axis, n) => ({
                path: ['harness', 'segments', stored.id, 'points', id, axis],
                value: quantity((found.points[k]?.at[n] ?? 0) * 1e3, 'length', 'mm'),
              }));
        }),
      },
    },
  ];
}

/** The first way found anew between the ends of a segment, where nothing stands against it. */
export function ledAnew(checked: HarnessChecked, bundle: LaidBundle): Cure<BuildCommand>[] {
  const { points } = bundle.led;
  const [from, to] = [points[0], points.at(-1)];
  if (!from || !to) return [];
  const { vehicle, mountingLines } = checked.vehicle;
  const first = autoRoute({
    line: {
      from: from.at,
      to: to.at,
      outsideDiameter: bundle.diameter,
      radius: Math.ceil(bundle.leastBend / 0.005) * 0.005,
      sleeve: bundle.heatSleeve !== undefined,
      fuel: false,
    },
    around: checked.map.around,
    mountingLines,
    bounds: vehicleBox(vehicle),
  }).next();
  const way = first.done ? undefined : first.value.ways[0];
  if (!way || way.faults.length > 0) return [];
  return [
    {
      text: `Re-route it: ${way.length.toFixed(2)} m, ${way.bends} ${way.bends === 1 ? 'bend' : 'bends'}`,
      command: {
        name: 'set-several',
        label: `Re-route “${bundle.name}” from scratch`.slice(0, 120),
        changes: [
          {
            path: ['harness', 'segments', bundle.segmentId, 'points'],
            value: wayAsPoints(way.corners),
          },
        ],
      },
    },
  ];
}
