import type { BuildCommand, BuildFinding } from '../../model/index.ts';
import type { Cure, Severity } from '../../results/index.ts';
import type { VehicleChecked, VehicleRule } from '../checked.ts';
import type { NearObstacle, ObstacleKind } from '../obstacles/index.ts';
import type { RoutedLine } from '../routes/routedLine.ts';
import { ledAnew } from './ledAnew.ts';
import { nameOf, onLines, onMap } from './onLines.ts';
import { movedCorners } from './otherWay.ts';

/** How a check on one kind of thing speaks. */
interface NearRule {
  readonly id: string;
  readonly kind: ObstacleKind;
  readonly source: string;
  readonly severity: (near: NearObstacle) => Severity;
  readonly title: (near: NearObstacle) => string;
  /** what is asked, behind the clearance in the sentence */
  readonly asks: (line: RoutedLine) => string;
  /** what the line is led away from, in the words of a cure */
  readonly from: string;
  /** another cure than moving the line */
  readonly otherwise: (
    checked: VehicleChecked,
    line: RoutedLine,
    near: NearObstacle,
  ) => Cure<BuildCommand>[];
  readonly lastly: string;
}

/** A check that a line keeps its room from one kind of thing. */
export const nearRule = (rule: NearRule): VehicleRule => ({
  id: rule.id,
  source: rule.source,
  check: onLines((checked: VehicleChecked, line: RoutedLine) => {
    const near = line.check?.near[rule.kind];
    if (!near || near.margin >= 0) return [];
    const finding: BuildFinding = {
      id: `${rule.id}:${line.lineId}`,
      rule: rule.id,
      severity: rule.severity(near),
      where: onMap(line),
      title: rule.title(near),
      because: `${nameOf(checked, line)}: {clearance} from ${near.name.toLowerCase()}; ${rule.asks(line)}`,
      numbers: {
        clearance: { value: near.clearance, kind: 'length' },
        needed: { value: near.needed, kind: 'length' },
      },
      measured: { value: near.clearance, kind: 'length' },
      limit: { value: near.needed, kind: 'length' },
      worse: 'lower',
      cures: () => {
        const fault = { place: near.nearest.at, from: near.nearest.to, what: rule.from };
        const found = [
          ...movedCorners(checked, line, fault, ({ kind }) => kind === rule.kind),
          ...ledAnew(checked, line),
          ...rule.otherwise(checked, line, near),
        ];
        return found.length > 0 ? found : [{ text: rule.lastly }];
      },
    };
    return [finding];
  }),
});

const none = (): Cure<BuildCommand>[] => [];

/** A line too near to what moves. */
export const routeMoving = nearRule({
  id: 'route.moving',
  kind: 'moving',
  source:
    'at least 25 mm from what moves in place, 50 from what travels or whips, over its full travel',
  severity: ({ clearance }) => (clearance <= 0 ? 'stop' : 'warn'),
  title: ({ clearance }) =>
    clearance <= 0 ? 'Line is hit by a moving part' : 'Line is too close to a moving part',
  asks: () => 'over its full travel it needs {needed}',
  from: 'it',
  otherwise: none,
  lastly: 'Re-route it: nothing may touch it over the full travel',
});

/** A line on a sharp edge. */
export const routeEdge = nearRule({
  id: 'route.edge',
  kind: 'edge',
  source: 'at least 12 mm from a sharp edge, or a clip, grommet or edge trim',
  severity: () => 'warn',
  title: () => 'Line rubs on a sharp edge',
  asks: () => 'a bare edge needs {needed}',
  from: 'it',
  otherwise: (_checked, _line, { id, clearance }) =>
    clearance < 0
      ? []
      : [
          {
            text: 'Cover the edge with trim',
            command: { name: 'set', path: ['edges', id, 'covered'], value: true },
          },
        ],
  lastly: 'Re-route it further away, or cover the edge',
});

/** Fuel beside a battery cable. */
export const routeCable = nearRule({
  id: 'route.cable',
  kind: 'cable',
  source: 'fuel and battery cable in separate clips, at least 50 mm apart, never in one loom',
  severity: () => 'warn',
  title: () => 'Fuel line is too close to a battery cable',
  asks: () => 'separate clips, {needed} apart',
  from: 'it',
  otherwise: none,
  lastly: 'Re-route one of them',
});

/** A line through something solid. */
export const routeSolid = nearRule({
  id: 'route.solid',
  kind: 'solid',
  source: 'routes go round solid things, except where they leave their own part',
  severity: () => 'stop',
  title: () => 'Line runs through a solid part',
  asks: () => 'it cannot pass',
  from: 'it',
  otherwise: none,
  lastly: 'Route it round, or correct the box',
});

/** A line through a part. */
export const routeComponent = nearRule({
  id: 'route.component',
  kind: 'component',
  source: 'lines go round parts that they do not begin or end at',
  severity: () => 'stop',
  title: () => 'Line runs through a part',
  asks: () => 'it cannot pass',
  from: 'it',
  otherwise: none,
  lastly: 'Route it round, or move the part',
});
