import {
  type Catalogue,
  type DeviceItem,
  type DevicePin,
  type EcuItem,
  lookUp,
  newestOf,
  refOf,
} from '../../catalogue/index.ts';
import { type Build, type Change, type Device, ORDER_STEP } from '../../model/index.ts';
import type { NetPart, Netlist } from '../netlist/netlist.ts';
import type { BusChain } from '../network/busChains.ts';
import { sharedPartIds } from '../netlist/sharedPartIds.ts';
import type { Connection } from '../slices/connections.ts';
import { ENGINE_CONTROLLER } from '../slices/controllers.ts';
import { plainDevice } from '../slices/plainDevice.ts';
import { freeId, toPin } from './newDevice.ts';

type Wired = Pick<Build, 'devices' | 'controllers' | 'grounds' | 'power'>;

/** A load that hangs on a relay, at which of its pins, with what it takes, A. */
interface Load {
  readonly device: Device;
  readonly pin: string;
  readonly current: number;
}

/** What hangs on a relay's contact directly; what takes nothing is none. */
function loadsOn(wired: Wired, parts: ReadonlyMap<string, NetPart>, relayId: string): Load[] {
  return wired.devices.flatMap((device) =>
    Object.entries(device.connections).flatMap(([pin, target]): Load[] => {
      if (target.to !== 'part' || target.partId !== relayId || target.pin !== '87') return [];
      const inside = parts.get(device.id)?.inside ?? [];
      const current = inside.reduce(
        (sum, each) => (each.kind === 'load' ? sum + each.current * each.duty : sum),
        0,
      );
      return current > 0 ? [{ device, pin, current }] : [];
    }),
  );
}

/** The two pins of a unit's first bus: high, then low. */
function busPins({ pins }: EcuItem): readonly [string, string] | undefined {
  const high = pins.find(
    ({ capabilities, pairedWith }) => capabilities.includes('can') && pairedWith !== '',
  );
  return high && [high.id, high.pairedWith];
}

/** A unit with channels for these loads, and the channel of each; undefined where it has not. */
function channelsFor(item: EcuItem, loads: readonly Load[]): ReadonlyMap<Load, string> | undefined {
  const free = item.pins
    .filter(({ capabilities }) => capabilities.includes('high-side'))
    .sort((a, b) => a.current - b.current);
  const channels = new Map<Load, string>();
  for (const load of [...loads].sort((a, b) => b.current - a.current)) {
    const at = free.findIndex(({ current }) => current >= load.current);
    const [pin] = at < 0 ? [] : free.splice(at, 1);
    if (!pin) return undefined;
    channels.set(load, pin.id);
  }
  return channels;
}

/** A device across a bus, with what its two pins lie on. */
interface Across {
  readonly device: Device;
  readonly high: { readonly pin: string; readonly on: Connection };
  readonly low: { readonly pin: string; readonly on: Connection };
}

/**
 * The terminator behind which a bus grows by one more: one of the two at its ends, rather one that is
 * not on the engine's controller. Undefined where the bus does not end in two.
 */
function growingEnd(
  wired: Wired,
  catalogue: Catalogue,
  chain: BusChain | undefined,
): Across | undefined {
  if (!chain?.terminated) return undefined;
  const ends = chain.terminators.flatMap(({ partId }): Across[] => {
    const device = wired.devices.find(({ id }) => id === partId);
    if (device?.part.kind !== 'item') return [];
    const { pins } = lookUp(catalogue, 'device', device.part.item, `devices.${partId}`);
    const at = (wanted: DevicePin['use']) => {
      const pin = pins.find(({ use }) => use === wanted)?.id;
      const on = pin === undefined ? undefined : device.connections[pin];
      return pin !== undefined && on ? { pin, on } : undefined;
    };
    const [high, low] = [at('bus-high'), at('bus-low')];
    return high && low ? [{ device, high, low }] : [];
  });
  const isAtEngine = ({ high }: Across): boolean =>
    high.on.to === 'controller' && high.on.controllerId === ENGINE_CONTROLLER;
  return ends.find((end) => !isAtEngine(end)) ?? ends[0];
}

/** The values that put a terminator to a unit and hang it on its pins instead. */
const movedTo = (
  unitId: string,
  placementId: string,
  [high, low]: readonly [string, string],
  end: Across,
): Change[] => [
  { path: ['devices', end.device.id, 'placementId'], value: placementId },
  {
    path: ['devices', end.device.id, 'connections'],
    value: { [end.high.pin]: toPin(unitId, high), [end.low.pin]: toPin(unitId, low) },
  },
];

/**
 * The values that put a power module on the ECU's bus and hang what some relays switch on its
 * channels; the relays, and fuses that fed them alone, go. A bus that is in use grows by the module
 * at one of its ends. Undefined where the ECU has no bus, where the one in use does not end in two
 * terminators, or where no module has the channels.
 */
export function powerModule(input: {
  readonly wired: Wired;
  readonly netlist: Netlist;
  readonly catalogue: Catalogue;
  readonly ecu: EcuItem;
  /** the buses as they are wired */
  readonly buses: readonly BusChain[];
  /** relays that are to go */
  readonly relays: readonly Device[];
}): { readonly item: EcuItem; readonly changes: readonly Change[] } | undefined {
  const { wired, netlist, catalogue, ecu, buses, relays } = input;
  const parts = new Map(netlist.parts.map((part) => [part.id, part]));
  const bus = busPins(ecu);
  const present = buses.find(({ members }) =>
    members.some(({ partId }) => partId === ENGINE_CONTROLLER),
  );
  const end = growingEnd(wired, catalogue, present);
  const loads = relays.flatMap(({ id }) => loadsOn(wired, parts, id));
  const ground = wired.grounds.find(({ on }) => on !== 'engine');
  const terminator = newestOf(catalogue, 'device').find(
    ({ role, resistanceAt25 }: DeviceItem) => role === 'resistor' && resistanceAt25 === 120,
  );
  if (!bus || (present && !end) || loads.length === 0 || !ground || !terminator) return undefined;
  for (const item of newestOf(catalogue, 'ecu')) {
    const channels = item.injectorOutputs === 0 ? channelsFor(item, loads) : undefined;
    const own = busPins(item);
    const supply = item.pins.find(({ capabilities }) => capabilities.includes('supply-switched'));
    const earth = item.pins.find(({ capabilities }) => capabilities.includes('power-ground'));
    if (!channels || !own || !supply || !earth) continue;
    const id = freeId(wired, 'power-module');
    const fuseId = freeId(wired, 'fuse-power-module');
    const placementId = wired.power.studPlacementId;
    let order = ORDER_STEP * (wired.devices.length + 1);
    const put = (deviceId: string, device: Omit<Device, 'id'>): Change => ({
      path: ['devices', deviceId],
      value: { ...device, order: (order += ORDER_STEP) },
    });
    const across = (at: string, [high, low]: readonly [string, string]) => ({
      '1': toPin(at, high),
      '2': toPin(at, low),
    });
    const part = { kind: 'item', item: refOf(terminator) } as const;
    const terminators = [
      put(freeId(wired, 'terminator-ecu'), {
        ...plainDevice,
        name: 'Terminator at the ECU',
        part,
        placementId: wired.power.ecuPlacementId,
        connections: across(ENGINE_CONTROLLER, bus),
      }),
      put(freeId(wired, 'terminator-module'), {
        ...plainDevice,
        name: 'Terminator at the power module',
        part,
        placementId,
        connections: across(id, own),
      }),
    ];
    const goes = new Set(relays.map((relay) => relay.id));
    const fuses = relays.flatMap(({ connections }) => {
      const from = connections['30'];
      const fuse =
        from?.to === 'part' ? wired.devices.find((d) => d.id === from.partId) : undefined;
      const isShared = wired.devices.some(
        (other) =>
          !goes.has(other.id) &&
          Object.values(other.connections).some((to) => to.to === 'part' && to.partId === fuse?.id),
      );
      return fuse?.part.kind === 'fuse' && !isShared ? [fuse] : [];
    });
    return {
      item,
      changes: [
        {
          path: ['controllers', id],
          value: {
            order: ORDER_STEP * (wired.controllers.length + 1),
            name: 'Power module',
            item: refOf(item),
            placementId,
            state: 'new',
            loadedTogether: 3,
            connections: {
              [supply.id]: { to: 'part', partId: fuseId, pin: 'out' },
              [earth.id]: { to: 'ground', groundId: ground.id },
              [own[0]]: end ? end.high.on : toPin(ENGINE_CONTROLLER, bus[0]),
              [own[1]]: end ? end.low.on : toPin(ENGINE_CONTROLLER, bus[1]),
            },
          },
        },
        put(fuseId, {
          ...plainDevice,
          name: 'Fuse, power module',
          part: { kind: 'fuse', item: null },
          placementId,
          connections: { in: { to: 'part', partId: sharedPartIds.stud, pin: 'stud' } },
        }),
        ...(end ? movedTo(id, placementId, own, end) : terminators),
        ...[...channels].map(([{ device, pin }, channel]) => ({
          path: ['devices', device.id, 'connections', pin],
          value: toPin(id, channel),
        })),
        ...[...relays, ...fuses].flatMap((device) => [
          { path: ['devices', device.id, 'state'], value: 'removed' },
          { path: ['devices', device.id, 'replacedBy'], value: 'Power module' },
        ]),
      ],
    };
  }
  return undefined;
}
