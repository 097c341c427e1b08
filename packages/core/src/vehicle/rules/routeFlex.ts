import type { BuildFinding } from '../../model/index.ts';
import type { VehicleRule } from '../checked.ts';
import { nameOf, onLines, onMap } from './onLines.ts';

/** Hardline from the engine to the vehicle, with nothing to take up the engine's movement. */
export const routeFlex: VehicleRule = {
  id: 'route.flex',
  source: 'every line that crosses from the engine to the vehicle has a flexible section',
  check: onLines((checked, line) => {
    if (!line.crossesToEngine || !line.rigid || line.flexible) return [];
    const finding: BuildFinding = {
      id: `route.flex:${line.lineId}`,
      rule: 'route.flex',
      severity: 'warn',
      where: onMap(line),
      title: 'Hardline is fixed to a moving engine',
      because: `${nameOf(checked, line)} runs rigid from the moving engine to the body: it will crack`,
      numbers: {},
      cures: () => [
        {
          text: 'Fit a flexible section beside the engine',
          command: { name: 'set', path: ['routes', line.routeId, 'flexible'], value: true },
        },
      ],
    };
    return [finding];
  }),
};
