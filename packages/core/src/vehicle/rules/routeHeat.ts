import type { BuildCommand, BuildFinding } from '../../model/index.ts';
import type { Cure } from '../../results/index.ts';
import type { VehicleChecked, VehicleRule } from '../checked.ts';
import type { RoutedLine } from '../routes/routedLine.ts';
import { ledAnew } from './ledAnew.ts';
import { nameOf, onLines, onMap } from './onLines.ts';
import { checkAlong, movedCorners } from './otherWay.ts';

const sleeved = (checked: VehicleChecked, line: RoutedLine): Cure<BuildCommand>[] => {
  const heat = line.sleeve ? undefined : checkAlong(checked, line, line.points, true)?.near.hot;
  return heat === undefined || heat.margin < 0
    ? []
    : [
        {
          text: 'Put a heat sleeve over it',
          command: { name: 'set', path: ['routes', line.routeId, 'sleeve'], value: true },
        },
      ];
};

/** A line too near to a hot pipe. */
export const routeHeat: VehicleRule = {
  id: 'route.heat',
  source:
    'at least 100 mm from a bare exhaust, 50 with a heat sleeve, twice from a turbine, never touching',
  check: onLines((checked, line) => {
    const heat = line.check?.near.hot;
    if (!heat || heat.margin >= 0) return [];
    const touching = heat.clearance <= 0;
    const finding: BuildFinding = {
      id: `route.heat:${line.lineId}`,
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
        const fault = { place: heat.nearest.at, from: heat.nearest.to, what: 'the heat' };
        const found = [
          ...movedCorners(checked, line, fault, ({ kind }) => kind === 'hot'),
          ...ledAnew(checked, line),
          ...sleeved(checked, line),
        ];
        return found.length > 0 ? found : [{ text: 'Lead it another way, or shield the pipe' }];
      },
    };
    return [finding];
  }),
};
