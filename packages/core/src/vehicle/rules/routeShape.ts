import type { BuildCommand, BuildFinding } from '../../model/index.ts';
import { quantity } from '../../quantities/index.ts';
import type { Cure } from '../../results/index.ts';
import type { VehicleChecked, VehicleRule } from '../checked.ts';
import { type RouteRefusal, shapeOf } from '../geometry/path.ts';
import { faultsOf } from '../obstacles/index.ts';
import type { RoutedLine } from '../routes/routedLine.ts';
import { cornerId, nameOf, onLines, onMap } from './onLines.ts';
import { checkAlong } from './otherWay.ts';

const words: Readonly<Record<RouteRefusal['reason'], string>> = {
  radius: 'its bend radius of {radius} does not fit between its neighbours; up to {largest} would',
  reversal: 'it turns straight back there',
  'same-place': 'two of its corners are at one place',
  'too-few': 'it has no length',
};

/** Shares of the largest radius that fits, widest first. */
const SHARES = [1, 0.75, 0.5, 0.3, 0.2] as const;

/** The widest radius mm that fits and meets nothing; the widest that fits where all meet something. */
function fittingRadius(
  checked: VehicleChecked,
  line: RoutedLine,
  { point, largest }: RouteRefusal,
): number {
  const whole = (share: number): number => Math.floor(share * largest * 1e3);
  const free = SHARES.find((share) => {
    const points = line.points.map((p, i) =>
      i === point ? { ...p, radius: whole(share) / 1e3 } : p,
    );
    const found = checkAlong(checked, line, points);
    return found !== undefined && faultsOf(found, checked.map.around).length === 0;
  });
  return whole(free ?? 1);
}

function cures(
  checked: VehicleChecked,
  line: RoutedLine,
  refusal: RouteRefusal,
): Cure<BuildCommand>[] {
  const corner = cornerId(checked, line, refusal.point);
  const millimetres = fittingRadius(checked, line, refusal);
  const elsewhere = { text: 'Move that corner, or the ones beside it' };
  if (refusal.reason === 'radius' && corner !== undefined && millimetres >= 5) {
    return [
      {
        text: `Use a bend radius of ${millimetres} mm`,
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
        text: 'Remove that corner',
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
  source: 'bends fit between their neighbours; no route turns back on itself',
  check: onLines((checked, line) => {
    const refusal = line.refusals.find((r) => settles(line, r)) ?? line.refusals[0];
    if (!refusal) return [];
    const radius = line.points[refusal.point]?.radius ?? 0;
    const finding: BuildFinding = {
      id: `route.shape:${line.lineId}`,
      rule: 'route.shape',
      severity: 'stop',
      where: onMap(line),
      title: 'Route is not possible',
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
