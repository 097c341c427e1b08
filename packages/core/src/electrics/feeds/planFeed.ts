import type { ItemRef } from '../../model/spec.ts';
import type { Device, Ground } from '../../model/index.ts';
import { lowerFirst } from '../../quantities/index.ts';
import { sharedPartIds } from '../netlist/sharedPartIds.ts';
import { ENGINE_CONTROLLER } from '../slices/controllers.ts';
import { plainDevice } from '../slices/plainDevice.ts';
import { type TriggerSide, coilConnections, cutOffConnections } from './coilConnections.ts';

/** What a person says of a pump's feed that is planned. */
export interface FeedPlan {
  readonly pump: {
    readonly id: string;
    readonly name: string;
    readonly circuitId: string;
    readonly elementId: string;
    readonly placementId: string;
  };
  /** null: chosen by the rules */
  readonly fuse: ItemRef | null;
  readonly relay: ItemRef;
  /** where fuse and relay sit */
  readonly panelPlacementId: string;
  readonly groundId: string;
  readonly trigger: TriggerSide;
  /** pin of the ECU; '' for the one that it has for the pump */
  readonly triggerPin: string;
  /** the switch that opens the coil in a crash; null for none */
  readonly cutOffId: string | null;
  readonly loadedTogether: number;
}

/** Ids of what belongs to a pump's feed. */
export const feedDeviceIds = (pumpId: string) => ({
  fuse: `${pumpId}-fuse`,
  relay: `${pumpId}-relay`,
  ground: `${pumpId}-ground`,
});

/** Fuse, relay and pump of a feed, wired from the stud to the pump's ground. */
export function planFeed(plan: FeedPlan): Device[] {
  const { pump, panelPlacementId, groundId, loadedTogether } = plan;
  const ids = feedDeviceIds(pump.id);
  const every = { ...plainDevice, loadedTogether };
  const coil = coilConnections({
    side: plan.trigger,
    groundId,
    controller: {
      to: 'controller',
      controllerId: ENGINE_CONTROLLER,
      pin: plan.triggerPin,
      locked: false,
    },
    cutOffId: plan.cutOffId,
  });
  return [
    {
      ...every,
      id: ids.fuse,
      name: `Fuse, ${lowerFirst(pump.name)}`,
      part: { kind: 'fuse', item: plan.fuse },
      placementId: panelPlacementId,
      connections: { in: { to: 'part', partId: sharedPartIds.stud, pin: 'stud' } },
    },
    {
      ...every,
      id: ids.relay,
      name: `Relay, ${lowerFirst(pump.name)}`,
      part: { kind: 'relay', item: plan.relay },
      placementId: panelPlacementId,
      connections: { '30': { to: 'part', partId: ids.fuse, pin: 'out' }, ...coil },
    },
    {
      ...every,
      id: pump.id,
      name: pump.name,
      part: { kind: 'pump', circuitId: pump.circuitId, elementId: pump.elementId },
      placementId: pump.placementId,
      connections: {
        '+': { to: 'part', partId: ids.relay, pin: '87' },
        '−': { to: 'ground', groundId },
      },
    },
  ];
}

/** The ground that a pump's feed ends in, where the build has none for it. */
export const feedGround = (pumpId: string, name: string, placementId: string): Ground => ({
  id: feedDeviceIds(pumpId).ground,
  name: `Ground, ${lowerFirst(name)}`,
  on: 'chassis',
  placementId,
  strapTo: null,
  resistance: null,
});

/** A switch that opens the coils of the pumps' relays in a crash. */
export function planCutOff(parts: {
  readonly id: string;
  readonly part: Device['part'];
  readonly placementId: string;
  readonly side: TriggerSide;
  readonly groundId: string;
  readonly loadedTogether: number;
}): Device {
  const { side, groundId, ...rest } = parts;
  return {
    ...plainDevice,
    ...rest,
    name: 'Inertia switch',
    connections: cutOffConnections(side, groundId),
  };
}
