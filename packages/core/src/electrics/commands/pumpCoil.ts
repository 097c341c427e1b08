import { command, entryOf } from '../../model/command.ts';
import { buildOf } from '../../model/buildOf.ts';
import type { DocumentDraft } from '../../model/edit.ts';
import { choice, text, yesNo } from '../../model/spec.ts';
import { ORDER_STEP } from '../../model/writeBuild.ts';
import { BadInput } from '../../quantities/index.ts';
import { coilConnections } from '../feeds/coilConnections.ts';
import { dropFeed } from '../feeds/dropFeed.ts';
import { planCutOff } from '../feeds/planFeed.ts';
import { type PumpFeed, pumpFeedsOf } from '../feeds/pumpFeed.ts';
import { ENGINE_CONTROLLER } from '../slices/controllers.ts';
import type { Connection } from '../slices/connections.ts';

type Side = 'low-side' | 'high-side';

/** An id of a device that is free: the first of its kind has no number. */
function freeId(draft: DocumentDraft, name: string): string {
  let id = name;
  for (let n = 2; Object.hasOwn(draft.devices, id); n++) id = `${name}-${n}`;
  return id;
}

/** A switch for the coil: the one that another pump of that side has, its own, or a new one. */
function cutOffFor(
  draft: DocumentDraft,
  feed: PumpFeed,
  others: readonly PumpFeed[],
  side: Side,
  groundId: string,
): string {
  const shared = others.find((other) => other.trigger === side && other.cutOffId !== undefined);
  if (shared?.cutOffId !== undefined) return shared.cutOffId;
  const isOwn = others.every(({ cutOffId }) => cutOffId !== feed.cutOffId);
  const own = feed.cutOffId !== undefined && isOwn ? feed.cutOffId : undefined;
  const relay = entryOf(draft.devices, feed.relayId ?? feed.id, 'device');
  const present = own === undefined ? undefined : entryOf(draft.devices, own, 'device');
  const planned = planCutOff({
    id: own ?? freeId(draft, 'inertia-switch'),
    part: present?.part ?? { kind: 'cut-off' },
    placementId: present?.placementId ?? relay.placementId,
    loadedTogether: present?.loadedTogether ?? relay.loadedTogether,
    side,
    groundId,
  });
  const { id, ...device } = planned;
  const order = present?.order ?? ORDER_STEP * (Object.keys(draft.devices).length + 1);
  draft.devices[id] = { ...device, order } as never;
  return id;
}

/** Wires the coil of a pump's relay: which end the ECU switches, and a switch that opens it in a crash. */
export const wirePumpCoil = command({
  name: 'wire-pump-coil',
  fields: {
    /** the pump's device */
    pumpId: text({ min: 1, max: 60 }),
    side: choice(['low-side', 'high-side']),
    cutOff: yesNo(),
  },
  words: (c) =>
    `Switch the coil of ${c.pumpId} ${c.side}${c.cutOff ? ', behind an inertia switch' : ''}`,
  recipe(draft, { pumpId, side, cutOff }) {
    const feeds = pumpFeedsOf(buildOf(draft));
    const feed = feeds.find(({ id }) => id === pumpId);
    const pump = entryOf(draft.devices, pumpId, 'pump');
    if (!feed || feed.relayId === undefined) {
      throw new BadInput('this pump has no relay whose coil could be wired', 'pumpId');
    }
    const relay = entryOf(draft.devices, feed.relayId, 'relay');
    const ends: readonly Connection[] = Object.values({
      ...relay.connections,
      ...pump.connections,
    });
    const ground = ends.find((to) => to.to === 'ground');
    if (ground?.to !== 'ground') throw new BadInput('this pump has no ground yet', 'pumpId');
    const controller = ends.find((to) => to.to === 'controller');
    const others = feeds.filter(({ id }) => id !== pumpId);
    const { groundId } = ground;
    const cutOffId = cutOff ? cutOffFor(draft, feed, others, side, groundId) : null;
    Object.assign(
      relay.connections,
      coilConnections({
        side,
        groundId,
        controller:
          controller?.to === 'controller'
            ? { ...controller }
            : { to: 'controller', controllerId: ENGINE_CONTROLLER, pin: '', locked: false },
        cutOffId,
      }),
    );
    if (feed.cutOffId !== undefined && feed.cutOffId !== cutOffId) dropFeed(draft, feed.cutOffId);
  },
});
