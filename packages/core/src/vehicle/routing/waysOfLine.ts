import type { VehicleThings } from '../../model/index.ts';
import { BadInput } from '../../quantities/index.ts';
import { type Lines, ledBy } from '../routes/led.ts';
import type { MapOutput } from '../routes/routeStage.ts';
import { pointsOf, seenBy } from '../routes/routedLine.ts';
import type { RouteOf } from '../slices/routes.ts';
import { type AutoRouteInput, autoRoute } from './autoRoute.ts';
import { autoRouteInput } from './proposalInput.ts';

/** A line of a build for which ways are looked for, with all that they are looked for in. */
export interface WaysWanted {
  readonly of: RouteOf;
  readonly sleeve: boolean;
  readonly lines: Lines;
  readonly map: Pick<MapOutput, 'around' | 'cables'>;
  readonly vehicle: Pick<VehicleThings, 'vehicle' | 'mountingLines'>;
}

/** What ways of a line are looked for with; throws NotFound where there is no such line. */
export function inputForLine({ of, sleeve, lines, map, vehicle }: WaysWanted): AutoRouteInput {
  const route = { id: 'wanted', of, covers: [], clamps: [], flexible: false, points: [] };
  const led = ledBy(route, lines);
  const points = pointsOf(route, led);
  const input = autoRouteInput({
    line: {
      points,
      outsideDiameter: led.outsideDiameter.value,
      leastBend: led.leastBend,
      sleeve,
      carries: led.carries,
    },
    around: seenBy(map.around, map.cables, led),
    ...vehicle,
  });
  if (!input) throw new BadInput('a line needs two ends to be led', 'routes');
  return input;
}

/** Looks for ways of a line of a build; yields after each search. */
export const waysOfLine = (wanted: WaysWanted) => autoRoute(inputForLine(wanted));
