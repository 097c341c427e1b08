import type { BuildCommand, BuildFinding } from '../../model/index.ts';
import type { Cure } from '../../results/index.ts';
import { holeOpenedTo } from '../../vehicle/index.ts';
import type { HarnessChecked, HarnessRule } from '../checked.ts';
import { harnessThreading } from '../threading/harnessThreading.ts';
import type { Threaded } from '../threading/threadingOrder.ts';
import { inSegment } from './onBundles.ts';

/** Ways out where no order of threading does it. */
function cures({ opening, blockedBy }: Threaded, checked: HarnessChecked): Cure<BuildCommand>[] {
  const least = Math.min(...blockedBy.map(({ diameter }) => diameter));
  if (opening.kind === 'hole') {
    return [
      ...holeOpenedTo(checked.vehicle.sheets, opening.thingId, least),
      { text: 'Remove the contacts and fit the connector after' },
    ];
  }
  if (opening.kind === 'boot') {
    return [{ text: 'Remove the contacts and fit the connector after; or use a split boot' }];
  }
  const { segmentId } = opening;
  return [
    {
      text: 'Cover it with tape, which is wound in place',
      command: { name: 'set', path: ['harness', 'segments', segmentId, 'cover'], value: 'tape' },
    },
    { text: 'Remove the contacts and fit the connector after; or use a split sleeve' },
  ];
}

const titles = {
  hole: 'No connector passes the hole',
  sleeve: 'Sleeve cannot be fitted',
  boot: 'Boot cannot be fitted',
} as const;

/** A sleeve, boot or hole that no order of threading gets past plugs that are on already. */
export const threadingBlocked: HarnessRule = {
  id: 'threading.blocked',
  source: 'a sleeve or hole is passed from one side, before the connectors are fitted',
  check: (checked) => {
    const { led, harness, wired, decidedHarness } = checked;
    // Without a loom that comes with its plugs on, some order always does it.
    if (decidedHarness.bought.length === 0) return [];
    const { passes } = harnessThreading({
      led,
      harness,
      bought: decidedHarness.bought,
      rootPlacementId: wired.power.ecuPlacementId,
      catalogue: checked.catalogue,
    });
    return passes.flatMap((threaded): BuildFinding[] => {
      const { opening, blockedBy } = threaded;
      const [first, second] = blockedBy;
      if (!first) return [];
      const both = second ? ` and of ${second.name}` : '';
      return [
        {
          id: `threading.blocked:${opening.id}`,
          rule: 'threading.blocked',
          severity: 'warn',
          where: inSegment(opening.segmentId),
          title: titles[opening.kind],
          because: `${opening.name} takes {size}; the connector of ${first.name}${both}, already fitted, is {plug} across: it passes from neither side`,
          numbers: {
            size: { value: opening.size, kind: 'length' },
            plug: { value: first.diameter, kind: 'length' },
          },
          measured: { value: opening.size, kind: 'length' },
          limit: { value: Math.min(...blockedBy.map(({ diameter }) => diameter)), kind: 'length' },
          worse: 'lower',
          cures: () => cures(threaded, checked),
        },
      ];
    });
  },
};
