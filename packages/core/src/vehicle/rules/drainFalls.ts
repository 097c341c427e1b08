import type { BuildFinding } from '../../model/index.ts';
import type { VehicleRule } from '../checked.ts';
import { heightsOf } from '../geometry/heights.ts';
import { nameOf, onLines, onMap } from './onLines.ts';

/** The drain of a turbine that does not fall all the way. */
export const drainFalls: VehicleRule = {
  id: 'other.drain',
  source: 'the oil drain of a turbine falls all the way, without a sag',
  check: onLines((checked, line) => {
    if (line.carries !== 'turbo-oil-drain' || !line.path) return [];
    const heights = heightsOf(line.path);
    const [from, to] = [line.points[0], line.points.at(-1)];
    if (!heights || !from || !to) return [];
    const falls = to.at[2] < from.at[2];
    if (falls && heights.sags.length === 0 && heights.pockets.length === 0) return [];
    const finding: BuildFinding = {
      id: `other.drain:${line.lineId}`,
      rule: 'other.drain',
      severity: 'warn',
      where: onMap(line),
      title: 'Oil drain does not fall all the way',
      because: `${nameOf(checked, line)} starts at {from} and ends at {to}, with ${heights.sags.length} sags and ${heights.pockets.length} humps: oil backs up into the turbine`,
      numbers: {
        from: { value: from.at[2], kind: 'length' },
        to: { value: to.at[2], kind: 'length' },
      },
      cures: () => [{ text: 'Re-route it so that it falls all the way from turbine to sump' }],
    };
    return [finding];
  }),
};
