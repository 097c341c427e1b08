import type { FuelCircuit } from '../../model/index.ts';
import {
  type CircuitPartChoices,
  draftCircuit,
  draftFineFilter,
  draftPump,
  draftRail,
  draftReturn,
  draftSuction,
} from './circuitDraft.ts';

/** The regulator sits on a Y-block before the rails; these are dead-headed. */
export function returnBeforeRail(parts: CircuitPartChoices): FuelCircuit {
  const draft = draftCircuit(parts);
  const filtered = draftFineFilter(
    draft,
    parts,
    draftPump(draft, parts, draftSuction(draft, parts)),
  );
  const tee = draft.node('tee', 'regulator');
  draft.line('feed', 'Feed line', 'feed', [filtered, tee], parts.feed);
  const toRail = draft.node('to-rail', 'regulator');
  const regulatorIn = draft.node('regulator-in', 'regulator');
  draft.fitting('y-rail', 'Y-block, to the rail', [tee, toRail], parts.yBlock);
  draft.fitting('y-regulator', 'Y-block, to the regulator', [tee, regulatorIn], parts.yBlock);
  if (parts.rails === 1) {
    const railIn = draft.node('rail-in', 'rail');
    draft.line('branch', 'Y-block to rail', 'feed', [toRail, railIn], parts.branch);
    draftRail(draft, parts, railIn);
  } else {
    for (const which of [1, 2] as const) {
      const leg = draft.node(`leg-${which}`, 'regulator');
      const railIn = draft.node(`rail-in-${which}`, which === 2 ? 'rail-2' : 'rail');
      draft.fitting(`y-${which}`, `Y-block, way ${which}`, [toRail, leg], parts.yBlock);
      draft.line(
        `branch-${which}`,
        `Y-block to rail ${which}`,
        'feed',
        [leg, railIn],
        parts.branch,
      );
      draftRail(draft, parts, railIn, which);
    }
  }
  draftReturn(draft, parts, regulatorIn, draft.node('tank-return', 'tank-return'));
  return draft.finish('return-before-rail');
}
