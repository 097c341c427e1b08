import type { BuildCommand, BuildFinding } from '../../model/index.ts';
import { quantity } from '../../quantities/index.ts';
import type { Cure } from '../../results/index.ts';
import type { VehicleChecked, VehicleRule } from '../checked.ts';
import type { RoutedLine } from '../routes/routedLine.ts';
import { cornerId, nameOf, onLines, onMap } from './onLines.ts';
import { isBetter } from './otherWay.ts';

/** Every corner that is too low raised as far as it has to be. */
function raised(checked: VehicleChecked, line: RoutedLine): Cure<BuildCommand>[] {
  const millimetres = Math.ceil(
    (checked.map.around.lowestAllowed + line.outsideDiameter / 2) * 1e3,
  );
  const height = quantity(millimetres, 'length', 'mm');
  const low = line.points.flatMap((point, k) => {
    const id = cornerId(checked, line, k);
    return id !== undefined && point.at[2] < height.value ? [{ k, id }] : [];
  });
  const points = line.points.map((point, k) =>
    low.some((corner) => corner.k === k)
      ? { ...point, at: [point.at[0], point.at[1], height.value] as const }
      : point,
  );
  if (!isBetter(checked, line, points, ({ kind }) => kind === 'low')) return [];
  return [
    {
      text: `Raise its low corners to ${millimetres} mm`,
      command: {
        name: 'set-several',
        label: `Raise the ${nameOf(checked, line).toLowerCase()}`,
        changes: low.map(({ id }) => ({
          path: ['routes', line.routeId, 'points', id, 'z'],
          value: height,
        })),
      },
    },
  ];
}

/** A line that the ground reaches first. */
export const routeLow: VehicleRule = {
  id: 'route.low',
  source: 'no line is below the lowest protected member of the chassis',
  check: onLines((checked, line) => {
    const { lowestAllowed } = checked.map.around;
    const lowest = line.check?.lowest ?? Infinity;
    if (lowest >= lowestAllowed) return [];
    const finding: BuildFinding = {
      id: `route.low:${line.lineId}`,
      rule: 'route.low',
      severity: 'warn',
      where: onMap(line),
      title: 'Line is below its protection',
      because: `${nameOf(checked, line)}: its outside reaches down to {lowest}; the lowest protected member is at {allowed}`,
      numbers: {
        lowest: { value: lowest, kind: 'length' },
        allowed: { value: lowestAllowed, kind: 'length' },
      },
      measured: { value: lowest, kind: 'length' },
      limit: { value: lowestAllowed, kind: 'length' },
      worse: 'lower',
      cures: () => [...raised(checked, line), { text: 'Route it higher, or guard it' }],
    };
    return [finding];
  }),
};
