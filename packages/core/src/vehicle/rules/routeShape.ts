import type { BuildCommand, BuildFinding } from '../../model/index.ts';
import { quantity } from '../../quantities/index.ts';
import type { Cure } from '../../results/index.ts';
import type { VehicleChecked, VehicleRule } from '../checked.ts';
import { type RouteRefusal, shapeOf } from '../geometry/path.ts';
import type { RoutedLine } from '../routes/routeStage.ts';
import { cornerId, nameOf, onLines, onMap } from './onLines.ts';

const words: Readonly<Record<RouteRefusal['reason'], string>> = {
  radius: 'its bend of {radius} does not fit between its neighbours; up to {largest} would',
  reversal: 'it turns straight back there',
  'same-place': 'two of its corners lie at one place',
  'too-few': 'it has no way at all',
};

function cures(
  checked: VehicleChecked,
  line: RoutedLine,
  refusal: RouteRefusal,
): Cure<BuildCommand>[] {
  const corner = cornerId(checked, line, refusal.point);
  const millimetres = Math.floor(refusal.largest * 1e3);
  const elsewhere = { text: 'Move that corner, or the ones beside it' };
  if (refusal.reason === 'radius' && corner !== undefined && millimetres >= 5) {
    return [
      {
        text: `Bend it with ${millimetres} mm`,
        command: {
          name: 'set',
          path: ['routes', line.routeId, 'points', corner, 'radius'],
          value: quantity(millimetres, 'length', 'mm'),
        },
      },
      elsewhere,
    ];
  }
  if (refusal.reason !== 'radius' && corner !== undefined) {
    return [
      {
        text: 'Take that corner out',
        command: { name: 'remove', path: ['routes', line.routeId, 'points', corner] },
      },
      elsewhere,
    ];
  }
  return [elsewhere];
}

/** Whether the way can be run once this corner is bent as widely as it may be. */
const settles = (line: RoutedLine, { point, reason, largest }: RouteRefusal): boolean =>
  reason === 'radius' &&
  shapeOf(line.points.map((p, i) => (i === point ? { ...p, radius: largest } : p))).ok;

/** A way that cannot be run: nothing is made smaller silently. */
export const routeShape: VehicleRule = {
  id: 'route.shape',
  source: 'bends fit between their neighbours; no way turns back on itself',
  check: onLines((checked, line) => {
    const refusal = line.refusals.find((r) => settles(line, r)) ?? line.refusals[0];
    if (!refusal) return [];
    const radius = line.points[refusal.point]?.radius ?? 0;
    const finding: BuildFinding = {
      id: `route.shape:${line.elementId}`,
      rule: 'route.shape',
      severity: 'stop',
      where: onMap(line),
      title: 'This way cannot be run',
      because: `${nameOf(checked, line)}, corner ${refusal.point}: ${words[refusal.reason]}`,
      numbers: {
        radius: { value: radius, kind: 'length' },
        largest: { value: refusal.largest, kind: 'length' },
      },
      cures: () => cures(checked, line, refusal),
    };
    return [finding];
  }),
};
