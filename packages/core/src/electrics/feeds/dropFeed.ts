import type { DocumentDraft } from '../../model/edit.ts';
import { allConnections } from '../commands/allConnections.ts';
import type { Connection } from '../slices/connections.ts';

const targetsOf = (connections: Readonly<Record<string, Connection>>): readonly Connection[] =>
  Object.values(connections);

const isUsed = (draft: DocumentDraft, isIt: (target: Connection) => boolean): boolean =>
  allConnections(draft).some((connections) => targetsOf(connections).some(isIt));

/**
 * Takes a pump's device out, and with it what served it alone: its relay, its fuse, the switch in
 * the coil's circuit and its ground.
 */
export function dropFeed(draft: DocumentDraft, pumpId: string): void {
  const open = [pumpId];
  const grounds: string[] = [];
  for (let id = open.shift(); id !== undefined; id = open.shift()) {
    const device = draft.devices[id];
    if (!device) continue;
    const { kind } = device.part;
    const serves = id === pumpId || kind === 'relay' || kind === 'fuse' || kind === 'cut-off';
    const isNeeded = isUsed(draft, (to) => to.to === 'part' && to.partId === id);
    if (!serves || isNeeded) continue;
    for (const target of targetsOf(device.connections)) {
      if (target.to === 'part') open.push(target.partId);
      if (target.to === 'ground') grounds.push(target.groundId);
    }
    delete draft.devices[id];
  }
  for (const id of grounds) {
    const isNeeded =
      isUsed(draft, (to) => to.to === 'ground' && to.groundId === id) ||
      draft.power.negativeGroundId === id ||
      Object.values(draft.grounds).some(({ strapTo }) => strapTo === id);
    if (!isNeeded) delete draft.grounds[id];
  }
}

/** The pumps' devices of a circuit whose element is gone, or all of them. */
export function dropFeedsOf(
  draft: DocumentDraft,
  circuitId: string,
  isGone: (elementId: string) => boolean,
): void {
  for (const [id, { part }] of Object.entries(draft.devices)) {
    if (part.kind === 'pump' && part.circuitId === circuitId && isGone(part.elementId)) {
      dropFeed(draft, id);
    }
  }
}
