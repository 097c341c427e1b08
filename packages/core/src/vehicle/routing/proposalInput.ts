import type { MountingLine, Vehicle } from '../../model/index.ts';
import type { Box } from '../geometry/distances.ts';
import type { VehicleAround } from '../obstacles/index.ts';
import { type RoutedLine, carriesFuel } from '../routes/routedLine.ts';
import type { AutoRouteInput } from './autoRoute.ts';

/** Bends are made to whole steps of so much, m. */
const RADIUS_STEP = 0.005;

/** Centreline radius m that a line is bent to where nobody said otherwise: what it asks, rounded up. */
export const usualRadius = (line: Pick<RoutedLine, 'leastBend' | 'outsideDiameter'>): number =>
  Math.ceil((line.leastBend + line.outsideDiameter / 2) / RADIUS_STEP - 1e-9) * RADIUS_STEP;

/** The box around a vehicle, m. */
export const vehicleBox = (vehicle: Vehicle): Box => ({
  low: [-vehicle.rearOverhang.value, -vehicle.width.value / 2, 0],
  high: [
    vehicle.wheelbase.value + vehicle.frontOverhang.value,
    vehicle.width.value / 2,
    vehicle.height.value,
  ],
});

/** What a way is looked for with, for a line that has its ends on the map. */
export function autoRouteInput(input: {
  line: Pick<RoutedLine, 'points' | 'outsideDiameter' | 'leastBend' | 'sleeve' | 'carries'>;
  around: VehicleAround;
  mountingLines: readonly MountingLine[];
  vehicle: Vehicle;
}): AutoRouteInput | undefined {
  const { line } = input;
  const [from, to] = [line.points[0], line.points.at(-1)];
  if (!from || !to) return undefined;
  return {
    line: {
      from: from.at,
      to: to.at,
      outsideDiameter: line.outsideDiameter,
      radius: usualRadius(line),
      sleeve: line.sleeve,
      fuel: carriesFuel(line.carries),
    },
    around: input.around,
    mountingLines: input.mountingLines,
    bounds: vehicleBox(input.vehicle),
  };
}
