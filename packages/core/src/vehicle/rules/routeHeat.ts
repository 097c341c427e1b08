import type { BuildCommand } from '../../model/index.ts';
import type { Cure } from '../../results/index.ts';
import type { VehicleChecked } from '../checked.ts';
import type { RoutedLine } from '../routes/routedLine.ts';
import { newCover } from '../routes/covers.ts';
import { freeId } from '../things/freeId.ts';
import { checkSleeved } from './otherWay.ts';
import { nearRule } from './routeNear.ts';

/** A heat sleeve over all of a line, where that is enough. */
const sleeved = (checked: VehicleChecked, line: RoutedLine): Cure<BuildCommand>[] => {
  const heat = line.sleeve ? undefined : checkSleeved(checked, line)?.near.hot;
  if (!heat || heat.margin < 0) return [];
  const run = checked.vehicle.hotRuns.find(({ id }) => id === heat.id);
  const covers = checked.routes.find(({ id }) => id === line.routeId)?.covers ?? [];
  return [
    {
      text: 'Fit a heat sleeve',
      command: {
        name: 'set',
        path: ['routes', line.routeId, 'covers', freeId('sleeve', covers)],
        value: newCover('heat-sleeve', run?.temperature.value ?? 0),
      },
    },
  ];
};

/** A line too near to a hot pipe. */
export const routeHeat = nearRule({
  id: 'route.heat',
  kind: 'hot',
  source:
    'at least 100 mm from a bare exhaust, 50 with a heat sleeve, twice from a turbine, never touching',
  severity: ({ clearance }) => (clearance <= 0 ? 'stop' : 'warn'),
  title: ({ clearance }) =>
    clearance <= 0 ? 'Line touches a hot pipe' : 'Line is too close to a hot pipe',
  asks: (line) => `${line.sleeve ? 'in its sleeve' : 'bare'}, it needs {needed}`,
  from: 'the heat',
  otherwise: sleeved,
  lastly: 'Re-route it, or shield the pipe',
});
