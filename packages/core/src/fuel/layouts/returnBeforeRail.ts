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

/** The regulator sits on a T before the rails; these are dead-headed. */
export function returnBeforeRail(parts: CircuitPartChoices): FuelCircuit {
  const draft = draftCircuit(parts);
  const filtered = draftFineFilter(
    draft,
    parts,
    draftPump(draft, parts, draftSuction(draft, parts)),
  );
  const tee = draft.node('tee', 'regulator');
  draft.line('feed', 'Feed line', 'feed', [filtered, tee], parts.feed);
  for (const which of parts.rails === 2 ? ([1, 2] as const) : ([undefined] as const)) {
    const suffix = which ? `-${which}` : '';
    const railIn = draft.node(`rail-in${suffix}`, which === 2 ? 'rail-2' : 'rail');
    const name = `T to rail${which ? ` ${which}` : ''}`;
    draft.line(`branch${suffix}`, name, 'feed', [tee, railIn], parts.branch);
    draftRail(draft, parts, railIn, which);
  }
  draftReturn(draft, parts, tee, draft.node('tank-return', 'tank-return'));
  return draft.finish('return-before-rail');
}
