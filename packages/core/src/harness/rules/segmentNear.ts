import type { BuildCommand, BuildFinding } from '../../model/index.ts';
import type { Cure, Severity } from '../../results/index.ts';
import { type NearObstacle, type ObstacleKind, checkWay } from '../../vehicle/index.ts';
import { coverFor } from '../bundles/coverOf.ts';
import type { HarnessChecked, HarnessRule } from '../checked.ts';
import { type LaidBundle, inSegment, onBundles } from './onBundles.ts';
import { ledAnew, movedCorners } from './otherWay.ts';

/** How a check on one kind of thing near a bundle speaks. */
interface NearRule {
  readonly id: string;
  readonly kind: ObstacleKind;
  readonly source: string;
  readonly severity: (near: NearObstacle) => Severity;
  readonly title: string;
  readonly asks: string;
  readonly otherwise: (
    checked: HarnessChecked,
    bundle: LaidBundle,
    near: NearObstacle,
  ) => Cure<BuildCommand>[];
  readonly lastly: string;
}

const nearRule = (rule: NearRule): HarnessRule => ({
  id: rule.id,
  source: rule.source,
  check: onBundles((bundle, checked) => {
    const near = bundle.check?.near[rule.kind];
    if (!near || near.margin >= -1e-9) return [];
    const finding: BuildFinding = {
      id: `${rule.id}:${bundle.segmentId}`,
      rule: rule.id,
      severity: rule.severity(near),
      where: inSegment(bundle.segmentId),
      title: rule.title,
      because: `${bundle.name}: {clearance} from ${near.name.toLowerCase()}; ${rule.asks}`,
      numbers: {
        clearance: { value: near.clearance, kind: 'length' },
        needed: { value: near.needed, kind: 'length' },
      },
      measured: { value: near.clearance, kind: 'length' },
      limit: { value: near.needed, kind: 'length' },
      worse: 'lower',
      cures: () => {
        const fault = { place: near.nearest.at, from: near.nearest.to, what: 'it' };
        const found = [
          ...movedCorners(checked, bundle, fault, ({ kind }) => kind === rule.kind),
          ...ledAnew(checked, bundle),
          ...rule.otherwise(checked, bundle, near),
        ];
        return found.length > 0 ? found : [{ text: rule.lastly }];
      },
    };
    return [finding];
  }),
});

const none = (): Cure<BuildCommand>[] => [];

/** A heat sleeve over a bundle, where that is enough. */
function sleeved(checked: HarnessChecked, bundle: LaidBundle): Cure<BuildCommand>[] {
  const { led, coverItem } = bundle;
  const inner = bundle.bundle + 2 * (coverItem?.wall ?? 0);
  const sleeve = coverFor(checked.catalogue, 'heat-sleeve', inner);
  if (bundle.heatSleeve || !sleeve || !led.path) return [];
  const way = checkWay(led.path, checked.map.around, {
    outsideDiameter: inner + 2 * sleeve.wall,
    sleeve: true,
  });
  if (!way.near.hot || way.near.hot.margin < 0) return [];
  return [
    {
      text: 'Fit a heat sleeve',
      command: {
        name: 'set',
        path: ['harness', 'segments', bundle.segmentId, 'heatSleeve'],
        value: true,
      },
    },
  ];
}

/** Bundles too near to what is hot, moves, cuts, or stands in the way. */
export const segmentNearRules: readonly HarnessRule[] = [
  nearRule({
    id: 'segment.heat',
    kind: 'hot',
    source: 'at least 100 mm from a bare exhaust, 50 with a heat sleeve, twice from a turbine',
    severity: ({ clearance }) => (clearance <= 0 ? 'stop' : 'warn'),
    title: 'Wires are too close to a hot pipe',
    asks: 'it needs {needed}',
    otherwise: sleeved,
    lastly: 'Re-route it, or shield the pipe',
  }),
  nearRule({
    id: 'segment.moving',
    kind: 'moving',
    source: 'at least 25 mm from what moves in place, 50 from what travels, over its full travel',
    severity: ({ clearance }) => (clearance <= 0 ? 'stop' : 'warn'),
    title: 'Wires are too close to a moving part',
    asks: 'over its full travel it needs {needed}',
    otherwise: none,
    lastly: 'Re-route it, or move its breakout',
  }),
  nearRule({
    id: 'segment.edge',
    kind: 'edge',
    source: 'at least 12 mm from a sharp edge, or edge trim',
    severity: () => 'warn',
    title: 'Wires rub on a sharp edge',
    asks: 'a bare edge needs {needed}',
    otherwise: (_checked, _bundle, { id, clearance }) =>
      clearance < 0
        ? []
        : [
            {
              text: 'Cover the edge with trim',
              command: { name: 'set', path: ['edges', id, 'covered'], value: true },
            },
          ],
    lastly: 'Re-route it further away, or cover the edge',
  }),
  nearRule({
    id: 'segment.solid',
    kind: 'solid',
    source: 'segments go round solid things, except where they leave their own part',
    severity: () => 'stop',
    title: 'Wires run through a solid part',
    asks: 'it cannot pass',
    otherwise: none,
    lastly: 'Route it round, or move its breakout',
  }),
  nearRule({
    id: 'segment.component',
    kind: 'component',
    source: 'segments go round parts that they do not end at',
    severity: () => 'warn',
    title: 'Wires run through a part',
    asks: 'it cannot pass',
    otherwise: none,
    lastly: 'Route it round, or move its breakout',
  }),
];
