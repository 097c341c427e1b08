import type { FuelCircuit } from '../../model/index.ts';
import {
  type CircuitPartChoices,
  draftCircuit,
  draftFineFilter,
  draftPump,
  draftRails,
  draftReturn,
  draftSuction,
} from './circuitDraft.ts';

/** A lift pump fills a surge tank that runs over to the tank; the main pump draws from there. */
export function surgeTankCircuit(parts: CircuitPartChoices): FuelCircuit {
  const draft = draftCircuit(parts);
  const coarse = draftSuction(draft, parts);
  const liftIn = draft.node('lift-in', 'lift-pump');
  const liftOut = draft.node('lift-out', 'lift-pump');
  draft.line('lift-inlet', 'Lift pump inlet hose', 'suction', [coarse, liftIn], parts.pumpInlet);
  draft.pump('lift-pump', 'Lift pump', [liftIn, liftOut], {
    item: parts.liftPump,
    mounting: 'external',
  });
  const surge = {
    inlet: draft.node('surge-in', 'surge-tank-top'),
    outlet: draft.node('surge-out', 'surge-tank'),
    returnNode: draft.node('surge-return', 'surge-tank-top'),
    overflow: draft.node('surge-over', 'surge-tank-top'),
  };
  draft.line('lift', 'Lift hose', 'feed', [liftOut, surge.inlet], parts.pumpOutlet);
  draft.add({
    kind: 'surge-tank',
    id: 'surge',
    name: 'Surge tank',
    ...surge,
    volume: parts.surgeVolume,
  });
  const filtered = draftFineFilter(draft, parts, draftPump(draft, parts, surge.outlet));
  draftReturn(draft, parts, draftRails(draft, parts, filtered), surge.returnNode);
  draft.line(
    'overflow',
    'Overflow to the tank',
    'return',
    [surge.overflow, draft.node('tank-return', 'tank-return')],
    { ...parts.back, length: { typed: null, measured: null } },
  );
  return draft.finish('surge-tank');
}
