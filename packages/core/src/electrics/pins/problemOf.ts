import type { EcuItem } from '../../catalogue/index.ts';
import type { Build } from '../../model/index.ts';
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
  readonly locked: boolean;
}

type Wired = Pick<Build, 'devices' | 'power'>;

/** The place of an injector among those of its row, for outputs that are kept in order. */
function positionOf(document: Wired, partId: string): number | undefined {
  const device = document.devices.find(({ id }) => id === partId);
  return device?.part.kind === 'injector' ? device.part.cylinder : undefined;
}

function signalOf(
  document: Wired,
  part: NetPart,
  pin: NetPart['pins'][number],
  target: Extract<Connection, { to: 'controller' }>,
): ControllerSignal | undefined {
  if (!pin.asks) return undefined;
  const { capability, current, frequency, pairedWith } = pin.asks;
  const id = `${part.id}~${pin.pin}`;
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
      position: positionOf(document, part.id),
      nearConnector: undefined,
      locked: target.locked ? target.pin : undefined,
      // Whoever is on a bus shares its pins.
      output: capability === 'can' && target.pin !== '' ? `bus ${target.pin}` : undefined,
    },
    assigned: target.pin,
    locked: target.locked,
  };
}

/** Everything that is to have a pin of a controller. */
export function controllerSignals(
  document: Wired,
  netlist: Netlist,
  controllerId: string,
  ecu: EcuItem,
): ControllerSignal[] {
  const parts = new Map(netlist.parts.map((part) => [part.id, part]));
  const ofEngine = controllerId === ENGINE_CONTROLLER;
  const pumpRelays = new Set(ofEngine ? pumpFeedsOf(document).map(({ relayId }) => relayId) : []);
  const signals = document.devices.flatMap((device) => {
    const part = parts.get(device.id);
    if (!part) return [];
    return part.pins.flatMap((pin) => {
      const target = device.connections[pin.pin];
      if (target?.to !== 'controller' || target.controllerId !== controllerId) return [];
      const ofPump = target.pin === '' && pumpRelays.has(device.id);
      return signalOf(document, part, pin, ofPump ? { ...target, pin: ecu.pumpPin } : target) ?? [];
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
