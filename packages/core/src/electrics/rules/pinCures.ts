import { newestOf } from '../../catalogue/index.ts';
import type { BuildCommand, Device } from '../../model/index.ts';
import { lowerFirst } from '../../quantities/index.ts';
import type { Cure } from '../../results/index.ts';
import type { ElectricsChecked } from '../checked.ts';
import { firingOrder } from '../pins/firingOrder.ts';
import { exchangeUnit } from '../pins/exchangeUnit.ts';
import { powerModule } from '../proposals/powerModule.ts';
import type { ControllerSignal } from '../pins/problemOf.ts';
import { ENGINE_CONTROLLER } from '../slices/controllers.ts';
import { type Unit, freeFor } from './unit.ts';

/** A relay whose coil an output feeds, wired so that an output draws its coil to ground instead. */
function asLowSide(device: Device, unitId: string): Cure<BuildCommand> | undefined {
  const feed = device.connections['30'];
  if (device.part.kind !== 'relay' || !feed || device.connections['86']?.to !== 'controller') {
    return undefined;
  }
  const at = (pin: string) => ['devices', device.id, 'connections', pin];
  return {
    text: `Switch ${device.name} on the low side: the ECU grounds its coil; exchange the base`,
    command: {
      name: 'set-several',
      label: `${device.name} switched on the low side`,
      changes: [
        { path: at('86'), value: feed },
        {
          path: at('85'),
          value: { to: 'controller', controllerId: unitId, pin: '', locked: false },
        },
      ],
    },
  };
}

/** Two relays on one output: the second coil hangs on the first. */
function onOneOutput(first: Device, second: Device): Cure<BuildCommand> | undefined {
  const isFed = (device: Device): boolean =>
    device.part.kind === 'relay' && device.connections['86']?.to === 'controller';
  if (!isFed(first) || !isFed(second)) return undefined;
  return {
    text: `Put ${second.name} on the output of ${first.name}: both run together`,
    command: {
      name: 'connect-pin',
      owner: { kind: 'device', id: second.id },
      pin: '86',
      connection: { to: 'part', partId: first.id, pin: '86' },
    },
  };
}

/** The smallest larger unit of the family on which every signal finds a pin, with all of them on it. */
function largerUnit(
  { wired, catalogue, electrics: { netlist }, document: { brief } }: ElectricsChecked,
  unit: Unit,
  wanting: readonly ControllerSignal[],
): Cure<BuildCommand>[] {
  const must = wanting.map(({ id }) => id);
  const order = firingOrder(brief.firingOrder, brief.cylinders);
  if (unit.id !== ENGINE_CONTROLLER) return [];
  const larger = newestOf(catalogue, 'ecu')
    .filter(
      ({ family, pins }) => family === unit.item.family && pins.length > unit.item.pins.length,
    )
    .sort((a, b) => a.pins.length - b.pins.length);
  for (const to of larger) {
    const changes = exchangeUnit({ wired, netlist, from: unit.item, to, must, order });
    if (!changes) continue;
    const text = `Fit a larger unit: ${to.designation}`;
    return [{ text, command: { name: 'set-several', label: text, changes } }];
  }
  return [];
}

/** What so many relays switch, on the channels of a module on the ECU's bus, where it has one. */
function onModule(
  { wired, catalogue, ecu, electrics: { netlist, buses } }: ElectricsChecked,
  unit: Unit,
  waiting: readonly Device[],
  missing: number,
): Cure<BuildCommand>[] {
  const hasBus = ecu.pins.some(({ capabilities }) => capabilities.includes('can'));
  if (unit.id !== ENGINE_CONTROLLER || !hasBus) return [];
  const relays = waiting.filter((device) =>
    wired.devices.some(({ connections }) =>
      Object.values(connections).some(
        (to) => to.to === 'part' && to.partId === device.id && to.pin === '87',
      ),
    ),
  );
  const chosen = relays.filter(({ part }) => part.kind === 'relay').slice(0, missing);
  const offer =
    chosen.length === missing
      ? powerModule({ wired, netlist, catalogue, ecu, buses, relays: chosen })
      : undefined;
  if (!offer) return [{ text: 'Move some of them to a CAN power module' }];
  const names = chosen.map(({ name }) => lowerFirst(name)).join(' and ');
  const text = `Replace ${names} with a CAN power module, ${offer.item.designation}`;
  return [
    { text, command: { name: 'set-several', label: text.slice(0, 120), changes: offer.changes } },
  ];
}

/** Every way out of too few pins, the cheapest first. */
export function waysOut(
  checked: ElectricsChecked,
  unit: Unit,
  signals: readonly ControllerSignal[],
  /** how many pins there are too few */
  missing: number,
): Cure<BuildCommand>[] {
  const {
    wired,
    electrics: { netlist },
  } = checked;
  const devices = signals.flatMap(
    ({ partId }) => wired.devices.find(({ id }) => id === partId) ?? [],
  );
  const isFan = new Set(netlist.parts.filter(({ role }) => role === 'fan').map(({ id }) => id));
  const drives = (relay: Device): boolean =>
    wired.devices.some(
      ({ id, connections }) =>
        isFan.has(id) &&
        Object.values(connections).some((to) => to.to === 'part' && to.partId === relay.id),
    );
  const fans = devices.filter((device) => device.part.kind === 'relay' && drives(device));
  const shared = fans.flatMap((first, i) =>
    fans.slice(i + 1).flatMap((second) => onOneOutput(first, second) ?? []),
  );
  const without = new Set(
    signals.flatMap(({ partId, assigned }) => (assigned === '' ? partId : [])),
  );
  const waiting = [...devices].sort(
    (a, b) => Number(without.has(b.id)) - Number(without.has(a.id)),
  );
  const free = waiting.toReversed().flatMap((device) => asLowSide(device, unit.id) ?? []);
  return [
    ...shared.slice(-1),
    ...free.slice(-1),
    ...onModule(checked, unit, waiting, missing),
    ...largerUnit(checked, unit, signals),
  ];
}

/** Free pins that would serve a signal: the first few. */
export function freePins(
  unit: Unit,
  signal: ControllerSignal | undefined,
  assigned: ReadonlyMap<string, string>,
): Cure<BuildCommand>[] {
  if (!signal) return [];
  const { need } = signal;
  const fit = need.pairedWith === undefined ? freeFor(unit, need, assigned) : [];
  const cures = fit.slice(0, 2).map((pin): Cure<BuildCommand> => ({
    text: `Put ${need.name} on pin ${pin.id}`,
    command: {
      name: 'assign-pins',
      controllerId: unit.id,
      devices: { [signal.partId]: { [signal.pin]: pin.id } },
    },
  }));
  return cures.length > 0 ? cures : [{ text: 'Assign pins to all signals at once' }];
}
