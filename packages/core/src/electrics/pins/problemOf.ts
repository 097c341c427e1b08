import type { EcuItem } from '../../catalogue/index.ts';
import type { Build, Device } from '../../model/index.ts';
import { outputFor } from './firingOrder.ts';
import type { NetPart, Netlist } from '../netlist/netlist.ts';
import { pumpFeedsOf } from '../feeds/pumpFeed.ts';
import type { Connection } from '../slices/connections.ts';
import { ENGINE_CONTROLLER } from '../slices/controllers.ts';
import type { AllocationProblem, Assignment, PinOffer, SignalNeed } from './allocationProblem.ts';

const orNoLimit = (value: number): number => (value > 0 ? value : Infinity);

/** The pins of a controller as they are offered. */
export const pinOffers = (item: EcuItem): PinOffer[] =>
  item.pins.map((pin) => ({
    id: pin.id,
    connector: pin.plug,
    number: pin.number,
    capabilities: pin.capabilities,
    currentLimit: orNoLimit(pin.current),
    frequencyLimit: orNoLimit(pin.frequency),
    timer: pin.timer === '' ? undefined : pin.timer,
    pairedWith: pin.pairedWith === '' ? undefined : pin.pairedWith,
  }));

/** A signal of a device that is to have a pin of a controller. */
export interface ControllerSignal {
  readonly id: string;
  readonly partId: string;
  readonly pin: string;
  readonly need: SignalNeed;
  /** pin that it is on; '' while it has none */
  readonly assigned: string;
  /** pin that it is on while nobody chose one: of a pump's relay the unit's own output for it; else '' */
  readonly usual: string;
  readonly locked: boolean;
}

type Wired = Pick<Build, 'devices' | 'power'>;

/** What is fired cylinder by cylinder: the group that it is of, and which cylinder. */
function firedOf({ part, cylinder }: Device): { group: string; cylinder: number } | undefined {
  if (part.kind === 'injector')
    return { group: `injectors of ${part.rowId}`, cylinder: part.cylinder };
  return cylinder === null ? undefined : { group: 'coils', cylinder };
}

function signalOf(
  device: Device,
  part: NetPart,
  pin: NetPart['pins'][number],
  chosen: Extract<Connection, { to: 'controller' }>,
  usual: string,
  outputOf: (cylinder: number) => number | undefined,
): ControllerSignal | undefined {
  if (!pin.asks) return undefined;
  const { capability, current, frequency, pairedWith } = pin.asks;
  const target = { ...chosen, pin: chosen.pin === '' ? usual : chosen.pin };
  const id = `${part.id}~${pin.pin}`;
  const fired = firedOf(device);
  return {
    id,
    partId: part.id,
    pin: pin.pin,
    need: {
      id,
      name: pin.name === pin.pin ? `${part.name}, ${pin.pin}` : `${part.name}, ${pin.name}`,
      capability,
      current,
      frequency,
      pairedWith: pairedWith === undefined ? undefined : `${part.id}~${pairedWith}`,
      position: fired && outputOf(fired.cylinder),
      group: fired?.group,
      nearConnector: undefined,
      locked: target.locked ? target.pin : undefined,
      // Whoever is on a bus shares its pins.
      output: capability === 'can' && target.pin !== '' ? `bus ${target.pin}` : undefined,
    },
    assigned: target.pin,
    usual,
    locked: target.locked,
  };
}

/** Everything that is to have a pin of a controller. */
export function controllerSignals(
  document: Wired,
  netlist: Netlist,
  controllerId: string,
  ecu: EcuItem,
  /** cylinders in the order in which they fire, where that is known */
  order?: readonly number[],
): ControllerSignal[] {
  const outputOf = (cylinder: number) => outputFor(ecu.sequence, cylinder, order);
  const parts = new Map(netlist.parts.map((part) => [part.id, part]));
  const ofEngine = controllerId === ENGINE_CONTROLLER;
  const pumpRelays = new Set(ofEngine ? pumpFeedsOf(document).map(({ relayId }) => relayId) : []);
  const signals = document.devices.flatMap((device) => {
    const part = parts.get(device.id);
    if (!part) return [];
    return part.pins.flatMap((pin) => {
      const target = device.connections[pin.pin];
      if (target?.to !== 'controller' || target.controllerId !== controllerId) return [];
      const usual = pumpRelays.has(device.id) ? ecu.pumpPin : '';
      return signalOf(device, part, pin, target, usual, outputOf) ?? [];
    });
  });
  // Coils of pumps that are left on the same pin share it.
  const shared = new Map<string, number>();
  for (const { partId, assigned } of signals) {
    if (pumpRelays.has(partId)) shared.set(assigned, (shared.get(assigned) ?? 0) + 1);
  }
  return signals.map((signal) =>
    pumpRelays.has(signal.partId) && (shared.get(signal.assigned) ?? 0) > 1
      ? { ...signal, need: { ...signal.need, output: `pumps on ${signal.assigned}` } }
      : signal,
  );
}

/** The problem of putting signals on a controller's pins, and how they stand now. */
export function problemOf(
  item: EcuItem,
  signals: readonly ControllerSignal[],
): { readonly problem: AllocationProblem; readonly assigned: Assignment } {
  const pins = pinOffers(item);
  const known = new Set(pins.map(({ id }) => id));
  const ids = new Set(signals.map(({ id }) => id));
  return {
    problem: {
      pins,
      signals: signals.map(({ need }) => ({
        ...need,
        pairedWith:
          need.pairedWith !== undefined && ids.has(need.pairedWith) ? need.pairedWith : undefined,
        locked: need.locked !== undefined && known.has(need.locked) ? need.locked : undefined,
      })),
      totals:
        item.highSideTotal > 0
          ? [
              {
                id: 'high-side',
                name: 'the high side, all together',
                pins: pins
                  .filter(({ capabilities }) => capabilities.includes('high-side'))
                  .map(({ id }) => id),
                current: item.highSideTotal,
              },
            ]
          : [],
    },
    assigned: new Map(
      signals.flatMap(({ id, assigned }) => (known.has(assigned) ? [[id, assigned] as const] : [])),
    ),
  };
}
