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
      { text: 'Draw the contacts out of the plug, and fit it after' },
    ];
  }
  if (opening.kind === 'boot') {
    return [{ text: 'Draw the contacts out of the plug, and fit it after; or take a split boot' }];
  }
  const { segmentId } = opening;
  return [
    {
      text: 'Cover it with tape, which goes round what lies there',
      command: { name: 'set', path: ['harness', 'segments', segmentId, 'cover'], value: 'tape' },
    },
    { text: 'Draw the contacts out of the plug, and fit it after; or take a split sleeve' },
  ];
}

const titles = {
  hole: 'No plug passes a hole',
  sleeve: 'A sleeve does not go on',
  boot: 'A boot does not go on',
} as const;

/** A sleeve, boot or hole that no order of threading gets past plugs that are on already. */
export const threadingBlocked: HarnessRule = {
  id: 'threading.blocked',
  source: 'a sleeve or a hole is passed from one side of it, before its plugs are fitted',
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
          because: `${opening.name} takes {size}; the plug of ${first.name}${both}, on already, is {plug} across: from neither side does it go`,
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
