import { pumpsOf } from '../circuits/circuitRun.ts';
import { type FeedPlan, planFeed } from '../../electrics/feeds/planFeed.ts';
import { pumpFeedsOf } from '../../electrics/feeds/pumpFeed.ts';
import type { Build, Device, FuelCircuit, PumpElement } from '../../model/index.ts';

type Wired = Pick<Build, 'devices'>;

/** How the first pump of a build is fed, for others to be fed alike. */
function firstFeed({ devices }: Wired): Omit<FeedPlan, 'pump'> | undefined {
  const byId = new Map(devices.map((device) => [device.id, device]));
  for (const feed of pumpFeedsOf({ devices })) {
    const relay = byId.get(feed.relayId ?? '');
    const fuse = byId.get(feed.fuseId ?? '');
    const ground = byId.get(feed.id)?.connections['−'];
    if (relay?.part.kind !== 'relay' || fuse?.part.kind !== 'fuse') continue;
    if (ground?.to !== 'ground' || feed.trigger === undefined) continue;
    return {
      fuse: fuse.part.item,
      relay: relay.part.item,
      panelPlacementId: fuse.placementId,
      groundId: ground.groundId,
      trigger: feed.trigger,
      triggerPin: feed.triggerPin,
      cutOffId: feed.cutOffId ?? null,
      loadedTogether: relay.loadedTogether,
    };
  }
  return undefined;
}

/** Fuse, relay and pump as devices, after the pattern of the build's first feed; none without one. */
export function feedLikeFirst(
  document: Wired,
  pump: Pick<PumpElement, 'id' | 'name'>,
  at: { readonly circuitId: string; readonly placementId: string; readonly deviceId?: string },
  settled: Partial<Pick<FeedPlan, 'fuse'>> = {},
): Device[] {
  const pattern = firstFeed(document);
  if (!pattern) return [];
  const { circuitId, placementId, deviceId = pump.id } = at;
  const name = pump.name === '' ? pump.id : pump.name;
  return planFeed({
    ...pattern,
    ...settled,
    pump: { id: deviceId, name, circuitId, elementId: pump.id, placementId },
  });
}

/** The devices of the pumps of a circuit: those that are there at the pump's place, others new. */
export function feedsFor(document: Wired, circuit: FuelCircuit): Device[] {
  return pumpsOf(circuit).flatMap((pump) => {
    const own = document.devices.find(
      ({ part }) =>
        part.kind === 'pump' && part.circuitId === circuit.id && part.elementId === pump.id,
    );
    const placementId = circuit.nodes.find((n) => n.id === pump.from)?.placementId;
    if (placementId === undefined) return [];
    return own
      ? [{ ...own, placementId }]
      : feedLikeFirst(document, pump, { circuitId: circuit.id, placementId });
  });
}
