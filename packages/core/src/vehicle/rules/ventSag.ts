import type { BuildFinding } from '../../model/index.ts';
import type { VehicleRule } from '../checked.ts';
import { heightsOf } from '../geometry/heights.ts';
import { nameOf, onLines, onMap } from './onLines.ts';

/** A vent with a sag: fuel stands in it and closes it. */
export const ventSag: VehicleRule = {
  id: 'other.vent-sag',
  source: 'a vent rises or falls without a sag: liquid fuel in a sag closes it',
  check: onLines((checked, line) => {
    if ((line.carries !== 'vent' && line.carries !== 'vapour-return') || !line.path) return [];
    const sag = heightsOf(line.path)?.sags[0];
    if (!sag) return [];
    const finding: BuildFinding = {
      id: `other.vent-sag:${line.lineId}`,
      rule: 'other.vent-sag',
      severity: 'warn',
      where: onMap(line),
      title: 'Vent has a sag',
      because: `${nameOf(checked, line)} sags to {height}, {along} from its start: fuel collects there and closes it`,
      numbers: {
        height: { value: sag.at[2], kind: 'length' },
        along: { value: sag.s, kind: 'length' },
      },
      cures: () => [{ text: 'Route it without a sag' }],
    };
    return [finding];
  }),
};
