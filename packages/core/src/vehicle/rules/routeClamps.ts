import type { BuildFinding } from '../../model/index.ts';
import { quantity } from '../../quantities/index.ts';
import type { VehicleRule } from '../checked.ts';
import { clampExcess, clampPitch, evenClamps } from '../routes/clamps.ts';
import { nameOf, onLines, onMap } from './onLines.ts';

/** Whole millimetres, held to what the rule allows. */
const rounded = (places: readonly number[]): readonly number[] =>
  places.map((place) => Math.round(place * 1e3));

/** Clamps that leave a stretch of a line unheld, or that stand beyond its end. */
export const routeClamps: VehicleRule = {
  id: 'route.clamps',
  source:
    'cushioned clamps at most 450 mm apart on hose and 600 on hardline, one within 120 mm of each end',
  check: onLines((checked, line) => {
    const clamps = checked.routes.find(({ id }) => id === line.routeId)?.clamps ?? [];
    const { path } = line;
    if (clamps.length === 0 || !path) return [];
    const places = clamps.map(({ at }) => at.value);
    const pitch = clampPitch(line.rigid);
    const beyond = Math.max(...places) - path.length;
    const excess = clampExcess(path.length, pitch, places);
    // Half a millimetre: places are kept in whole ones.
    if (excess <= 5e-4 && beyond <= 0) return [];
    const finding: BuildFinding = {
      id: `route.clamps:${line.lineId}`,
      rule: 'route.clamps',
      severity: 'warn',
      where: onMap(line),
      title:
        beyond > 0 ? 'Clamp is beyond the end of the line' : 'Line is unsupported for too long',
      because:
        beyond > 0
          ? `${nameOf(checked, line)} is {length} long; a clamp is {beyond} beyond its end`
          : `${nameOf(checked, line)}: its clamps are {excess} further apart than {pitch}, or than 120 mm from an end`,
      numbers: {
        length: { value: path.length, kind: 'length' },
        beyond: { value: beyond, kind: 'length' },
        excess: { value: excess, kind: 'length' },
        pitch: { value: pitch, kind: 'length' },
      },
      measured: { value: Math.max(excess, beyond), kind: 'length' },
      worse: 'higher',
      cures: () => {
        const even = rounded(evenClamps(path.length, pitch));
        return [
          {
            text: `Space ${even.length} clamps evenly`,
            command: {
              name: 'set',
              path: ['routes', line.routeId, 'clamps'],
              value: Object.fromEntries(
                even.map((mm, i) => [`c${i + 1}`, { at: quantity(mm, 'length', 'mm') }]),
              ),
            },
          },
        ];
      },
    };
    return [finding];
  }),
};
