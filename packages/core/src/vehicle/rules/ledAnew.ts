import type { BuildCommand } from '../../model/index.ts';
import type { Cure } from '../../results/index.ts';
import type { VehicleChecked } from '../checked.ts';
import type { RoutedLine } from '../routes/routedLine.ts';
import { autoRoute } from '../routing/autoRoute.ts';
import { autoRouteInput } from '../routing/proposalInput.ts';
import { wayAsPoints } from '../routing/wayAsPoints.ts';
import { nameOf } from './onLines.ts';
import { aroundOf } from './otherWay.ts';

/** The first way that is found anew between the ends of a line, where nothing stands against it. */
export function ledAnew(checked: VehicleChecked, line: RoutedLine): Cure<BuildCommand>[] {
  const { vehicle, mountingLines } = checked.vehicle;
  const input = autoRouteInput({
    line,
    around: aroundOf(checked, line),
    mountingLines,
    vehicle,
  });
  const first = input && autoRoute(input).next();
  const way = first && !first.done ? first.value.ways[0] : undefined;
  if (!way || way.faults.length > 0) return [];
  const side = way.side === 'middle' ? 'through the middle' : `on the ${way.side}`;
  return [
    {
      text: `Re-route it ${side}: ${way.length.toFixed(2)} m, ${way.bends} ${way.bends === 1 ? 'bend' : 'bends'}`,
      command: {
        name: 'set-several',
        label: `Re-route the ${nameOf(checked, line).toLowerCase()} from scratch`,
        changes: [{ path: ['routes', line.routeId, 'points'], value: wayAsPoints(way.corners) }],
      },
    },
  ];
}
