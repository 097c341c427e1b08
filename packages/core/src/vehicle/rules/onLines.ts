import type { BuildFinding } from '../../model/index.ts';
import type { VehicleChecked, VehicleRule } from '../checked.ts';
import type { RoutedLine } from '../routes/routedLine.ts';

/** Where a finding on a line's way belongs. */
export const onMap = (line: RoutedLine): BuildFinding['where'] =>
  line.circuitId === undefined
    ? { stage: 'map', line: line.lineId }
    : { stage: 'map', circuit: line.circuitId, line: line.lineId };

/** The name of a line, for a sentence. */
export const nameOf = (checked: VehicleChecked, line: RoutedLine): string =>
  checked.lineNames[line.lineId] ?? line.lineId;

/** Id of the corner of a route at a point of its path; the ends are places, not corners. */
export const cornerId = (
  checked: VehicleChecked,
  line: RoutedLine,
  point: number,
): string | undefined => checked.routes.find((r) => r.id === line.routeId)?.points[point - 1]?.id;

/** Runs a check on every line that has a way on the map. */
export const onLines =
  (check: (checked: VehicleChecked, line: RoutedLine) => BuildFinding[]): VehicleRule['check'] =>
  (checked) =>
    checked.map.lines.flatMap((line) => check(checked, line));
