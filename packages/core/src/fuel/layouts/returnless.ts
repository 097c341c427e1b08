import type { FuelCircuit } from '../../model/index.ts';
import {
  type CircuitPartChoices,
  draftCircuit,
  draftFineFilter,
  draftPump,
  draftRails,
  draftSuction,
} from './circuitDraft.ts';

/** Nothing returns: the pump's speed keeps the pressure that a sensor on the rail reads. */
export function returnless(parts: CircuitPartChoices): FuelCircuit {
  const draft = draftCircuit(parts);
  const sensorNode = parts.rails === 1 ? 'rail-out' : 'rails-joined';
  const pumped = draftPump(draft, parts, draftSuction(draft, parts), {
    kind: 'pressure',
    sensorNode,
    target: parts.setPressure,
    manifoldRatio: parts.manifoldRatio,
    leastShare: parts.leastShare,
  });
  draftRails(draft, parts, draftFineFilter(draft, parts, pumped));
  draft.node('tank-return', 'tank-return');
  return draft.finish('returnless');
}
