import type { BuildCommand, BuildFinding } from '../../model/index.ts';
import { quantity } from '../../quantities/index.ts';
import type { Cure } from '../../results/index.ts';
import type { VehicleChecked, VehicleRule } from '../checked.ts';
import { shapeOf } from '../geometry/path.ts';
import type { RoutedLine } from '../routes/routedLine.ts';
import { cornerId, nameOf, onLines, onMap } from './onLines.ts';

/** Every bend that is too tight made as wide as it has to be, where all of that fits. */
function wider(checked: VehicleChecked, line: RoutedLine, least: number): Cure<BuildCommand>[] {
  const bends = line.path?.bends.filter((bend) => bend.radius < least) ?? [];
  const millimetres = Math.ceil(least * 1e3);
  const radius = quantity(millimetres, 'length', 'mm');
  const points = line.points.map((point, i) =>
    bends.some((bend) => bend.point === i) ? { ...point, radius: radius.value } : point,
  );
  const corners = bends.map((bend) => cornerId(checked, line, bend.point));
  if (!shapeOf(points).ok || corners.includes(undefined)) {
    return [{ text: 'Move its corners further apart, or use a hose that bends more tightly' }];
  }
  return [
    {
      text: `Use a bend radius of ${millimetres} mm`,
      command: {
        name: 'set-several',
        label: `Bend radius of the ${nameOf(checked, line).toLowerCase()}: ${millimetres} mm`,
        changes: corners.flatMap((corner) =>
          corner === undefined
            ? []
            : [{ path: ['routes', line.routeId, 'points', corner, 'radius'], value: radius }],
        ),
      },
    },
  ];
}

/** A hose bent more tightly than it may be. */
export const routeBend: VehicleRule = {
  id: 'route.bend',
  source: 'inside radius of the hose by its size; hardline three times its outside diameter',
  check: onLines((checked, line) => {
    const tightest = line.path?.bends.reduce((least, b) => Math.min(least, b.radius), Infinity);
    if (tightest === undefined || !Number.isFinite(tightest)) return [];
    const least = line.leastBend + line.outsideDiameter / 2;
    if (tightest >= least) return [];
    const finding: BuildFinding = {
      id: `route.bend:${line.lineId}`,
      rule: 'route.bend',
      severity: 'warn',
      where: onMap(line),
      title: 'Line bend is too tight',
      because: `${nameOf(checked, line)}: its centreline radius is {tightest}; it needs {least}`,
      numbers: {
        tightest: { value: tightest, kind: 'length' },
        least: { value: least, kind: 'length' },
      },
      measured: { value: tightest, kind: 'length' },
      limit: { value: least, kind: 'length' },
      worse: 'lower',
      cures: () => wider(checked, line, least),
    };
    return [finding];
  }),
};
