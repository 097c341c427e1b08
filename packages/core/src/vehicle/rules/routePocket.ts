import type { BuildCommand, BuildFinding } from '../../model/index.ts';
import { entryAt, lastOf } from '../../numerics/index.ts';
import { quantity } from '../../quantities/index.ts';
import type { Cure } from '../../results/index.ts';
import type { VehicleChecked, VehicleRule } from '../checked.ts';
import { heightsOf } from '../geometry/heights.ts';
import type { RoutedLine } from '../routes/routedLine.ts';
import { cornerId, nameOf, onLines, onMap } from './onLines.ts';
import { isNoWorse } from '../routing/movedPoints.ts';
import { aroundOf } from './otherWay.ts';

/** A hump in a suction line may stand above both its ends by this, m. */
const HUMP = 0.03;

const endsOf = (line: RoutedLine): number =>
  Math.max(entryAt(line.points, 0).at[2], lastOf(line.points).at[2]);

/** Corners that stand above both ends, lowered to the higher of them. */
function lowered(checked: VehicleChecked, line: RoutedLine): Cure<BuildCommand>[] {
  const top = Math.floor(endsOf(line) * 1e3) / 1e3;
  const points = line.points.map((point, i) =>
    i > 0 && i < line.points.length - 1 && point.at[2] > top
      ? { ...point, at: [point.at[0], point.at[1], top] as const }
      : point,
  );
  if (!isNoWorse(line, points, aroundOf(checked, line))) return [];
  const changes = points.flatMap((point, i) => {
    const id = point === line.points[i] ? undefined : cornerId(checked, line, i);
    return id === undefined
      ? []
      : [
          {
            path: ['routes', line.routeId, 'points', id, 'z'],
            value: quantity(top * 1e3, 'length', 'mm'),
          },
        ];
  });
  return changes.length === 0
    ? []
    : [
        {
          text: 'Lower what is above both ends',
          command: {
            name: 'set-several',
            label: `Lower the ${nameOf(checked, line).toLowerCase()}`,
            changes,
          },
        },
      ];
}

/** A hump in a suction line, where vapour gathers. */
export const routePocket: VehicleRule = {
  id: 'route.pocket',
  source: 'vapour collects at a high point of a suction line, and the pump loses its prime',
  check: onLines((checked, line) => {
    const { path } = line;
    if (!line.suction || !path) return [];
    const highest = heightsOf(path)?.highest.at[2] ?? -Infinity;
    const hump = highest - endsOf(line);
    if (hump <= HUMP) return [];
    const finding: BuildFinding = {
      id: `route.pocket:${line.lineId}`,
      rule: 'route.pocket',
      severity: 'warn',
      where: onMap(line),
      title: 'Vapour collects in the suction line',
      because: `${nameOf(checked, line)} rises to {highest}, {hump} above the higher of its ends`,
      numbers: {
        highest: { value: highest, kind: 'length' },
        hump: { value: hump, kind: 'length' },
      },
      measured: { value: hump, kind: 'length' },
      limit: { value: HUMP, kind: 'length' },
      worse: 'higher',
      cures: () => [
        ...lowered(checked, line),
        { text: 'Route it without a hump, falling or rising all the way' },
      ],
    };
    return [finding];
  }),
};
