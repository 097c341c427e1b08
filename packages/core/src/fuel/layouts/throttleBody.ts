import type { FuelCircuit } from '../../model/index.ts';
import {
  type CircuitPartChoices,
  draftCircuit,
  draftFineFilter,
  draftPump,
  draftReturn,
  draftSuction,
} from './circuitDraft.ts';

/** One or two injectors in a throttle body with its own low-pressure regulator and a return. */
export function throttleBody(parts: CircuitPartChoices): FuelCircuit {
  const draft = draftCircuit(parts);
  const filtered = draftFineFilter(
    draft,
    parts,
    draftPump(draft, parts, draftSuction(draft, parts)),
  );
  const body = draft.node('body', 'rail');
  draft.line('feed', 'Feed line', 'feed', [filtered, body], parts.feed);
  draft.add({
    kind: 'injectors',
    id: 'injectors',
    name: 'Throttle-body injectors',
    node: body,
    rowId: parts.rowId,
  });
  draftReturn(draft, parts, body, draft.node('tank-return', 'tank-return'), true);
  return draft.finish('throttle-body');
}
