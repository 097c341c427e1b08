import {
  type Catalogue,
  type DeviceItem,
  type DevicePin,
  deviceRoleOf,
  lookUp,
} from '../../catalogue/index.ts';
import type { Device, Ground, InjectorRow, VehicleSignal } from '../../model/index.ts';
import { NotFound } from '../../quantities/index.ts';
import { type InnerElement, type NetPart, type NetPin, nodeOf } from './netlist.ts';
import type { Joint } from './terminal.ts';
import { type PumpCircuit, cutOffPart, pumpPart } from './pumpPart.ts';
import { RATED, anyLug, bladeRange, partOf, pinOf, rangeOf } from './partOf.ts';

/** What a pin of the catalogue asks of a controller; nothing where it asks none. */
function asksOf(pin: DevicePin): NetPin['asks'] {
  if (pin.capability === 'none') return undefined;
  return {
    capability: pin.capability,
    current: pin.current,
    frequency: pin.frequency,
    pairedWith: pin.pairedWith === '' ? undefined : pin.pairedWith,
  };
}

/** Speed at idle over full speed: a coil is charged as long each time, so less often. */
const COIL_AT_IDLE = 0.14;

/** Whether a pin of a device is where a current leaves it to go back. */
const leadsBack = ({ pins }: DeviceItem, pinId: string): boolean =>
  pins.some(({ id, use }) => id === pinId && (use === 'ground' || use === 'case'));

function elementOf(id: string, pin: DevicePin, item: DeviceItem): InnerElement | undefined {
  if (pin.through === '') return undefined;
  const between = { from: nodeOf(id, pin.id), to: nodeOf(id, pin.through) };
  switch (pin.behaviour) {
    case 'none':
      return undefined;
    case 'contact':
      return {
        kind: 'contact',
        id: `${id} ${pin.id}`,
        ...between,
        leads: leadsBack(item, pin.through) ? 'back' : 'on',
        resistance: pin.contactResistance,
      };
    case 'resistive':
    case 'motor':
    case 'electronic':
      return {
        kind: 'load',
        id: `${id} ${pin.id}`,
        ...between,
        current: pin.current,
        voltage: pin.voltage,
        duty: pin.duty,
        ...(deviceRoleOf(item.role).duty === 'by engine speed'
          ? { dutyAtIdle: pin.duty * COIL_AT_IDLE }
          : {}),
        behaviour: pin.behaviour,
        when: pin.when,
      };
  }
}

/** How wires are held at an item: of a connector the contact of each way is inside. */
function jointOf({ role, plugFamily }: DeviceItem): Joint {
  if (deviceRoleOf(role).joint === 'holder') return 'holder';
  return plugFamily === 'ring terminal' ? 'lug' : 'plug';
}

function itemPart(device: Device, item: DeviceItem): NetPart {
  const joint = jointOf(item);
  return partOf({
    id: device.id,
    name: device.name,
    sort: deviceRoleOf(item.role).sort,
    role: item.role,
    placementId: device.placementId,
    pins: item.pins.map((pin) =>
      pinOf(device.id, device.name, {
        pin: pin.id,
        name: pin.name,
        use: pin.use,
        ...rangeOf(item),
        joint,
        asks: asksOf(pin),
      }),
    ),
    inside: item.pins.flatMap((pin) => elementOf(device.id, pin, item) ?? []),
    outputs: item.pins
      .filter(({ use, current }) => use === 'supply-out' && current > 0)
      .map((pin) => ({ node: nodeOf(device.id, pin.id), current: pin.current })),
    inrush: { factor: item.inrushFactor, time: item.inrushTime },
    loadedTogether: device.loadedTogether,
    bundledAt: ['devices', device.id, 'loadedTogether'],
  });
}

/** What a peak-and-hold injector takes on average while it is open, A. */
const HOLD = 1;
const PEAK = 4;
const INJECTOR_DUTY = 0.85;
/** 3 ms in two turns at 900 rpm, rounded up. */
const INJECTOR_AT_IDLE = 0.03;

function injectorPart(
  device: Device,
  row: Pick<InjectorRow, 'id' | 'item'>,
  catalogue: Catalogue,
): NetPart {
  const item = lookUp(catalogue, 'injector', row.item, `injectorRows.${row.id}.item`);
  const held = item.driver === 'peak-hold';
  const saturated = RATED / item.resistance;
  const contact = { areaMin: 0.3e-6, areaMax: 1e-6, joint: 'plug' as const };
  return partOf({
    id: device.id,
    name: device.name,
    sort: 'device',
    placementId: device.placementId,
    pins: [
      pinOf(device.id, device.name, { pin: '1', name: 'Supply', use: 'supply', ...contact }),
      pinOf(device.id, device.name, {
        pin: '2',
        name: 'Switched',
        use: 'signal',
        ...contact,
        asks: {
          capability: held ? 'peak-hold' : 'low-side',
          current: held ? PEAK : saturated,
          frequency: 100,
          pairedWith: undefined,
        },
      }),
    ],
    inside: [
      {
        kind: 'load',
        id: `${device.id} coil`,
        from: nodeOf(device.id, '1'),
        to: nodeOf(device.id, '2'),
        current: held ? HOLD : saturated,
        voltage: RATED,
        duty: INJECTOR_DUTY,
        dutyAtIdle: INJECTOR_AT_IDLE,
        behaviour: 'resistive',
        when: 'engine turning',
      },
    ],
    loadedTogether: device.loadedTogether,
    bundledAt: ['devices', device.id, 'loadedTogether'],
  });
}

/** Terminals of a relay by their numbers (ISO 7588). */
const relayPins = ['30', '87', '86', '85'] as const;
const relayUses = {
  '30': 'supply',
  '87': 'supply-out',
  '86': 'supply',
  '85': 'coil-return',
} as const;

/** The part of a device, with its pins and what lies between them. */
export function devicePart(input: {
  readonly device: Device;
  readonly rows: readonly Pick<InjectorRow, 'id' | 'item'>[];
  readonly circuits: readonly PumpCircuit[];
  readonly catalogue: Catalogue;
}): NetPart {
  const { device, rows, circuits, catalogue } = input;
  const { id, name, placementId, loadedTogether } = device;
  const bundle = { loadedTogether, bundledAt: ['devices', id, 'loadedTogether'] };
  const where = `devices.${id}`;
  switch (device.part.kind) {
    case 'item':
      return itemPart(device, lookUp(catalogue, 'device', device.part.item, where));
    case 'pump':
      return pumpPart(device, device.part, circuits, catalogue);
    case 'cut-off':
      return cutOffPart(device);
    case 'injector': {
      const { rowId } = device.part;
      const row = rows.find((r) => r.id === rowId);
      if (!row) throw new NotFound(`there is no injector row "${rowId}"`, where);
      return injectorPart(device, row, catalogue);
    }
    case 'fuse': {
      const item = device.part.item
        ? lookUp(catalogue, 'fuse', device.part.item, where)
        : undefined;
      const bolt = item?.style === 'bolt';
      const contact = {
        ...(item ? rangeOf(item) : bladeRange),
        joint: bolt ? ('lug' as const) : ('holder' as const),
      };
      return partOf({
        id,
        name,
        sort: 'fuse',
        placementId,
        pins: ['in', 'out'].map((pin) => pinOf(id, name, { pin, ...contact })),
        fuse: item,
        fuseStyle: item?.style ?? 'blade',
        ...bundle,
      });
    }
    case 'relay': {
      const item = lookUp(catalogue, 'relay', device.part.item, where);
      const contact = { ...rangeOf(item), joint: 'holder' as const };
      const coil = RATED / item.coilResistance;
      const lowSide = device.connections['86']?.to !== 'controller';
      const asks = {
        capability: lowSide ? ('low-side' as const) : ('high-side' as const),
        current: coil,
        frequency: 0,
        pairedWith: undefined,
      };
      return partOf({
        id,
        name,
        sort: 'relay',
        placementId,
        pins: relayPins.map((pin) =>
          pinOf(id, name, {
            pin,
            use: relayUses[pin],
            ...contact,
            asks:
              device.connections[pin]?.to === 'controller' && (pin === '85' || pin === '86')
                ? asks
                : undefined,
          }),
        ),
        inside: [
          {
            kind: 'contact',
            id: `${id} contact`,
            from: nodeOf(id, '30'),
            to: nodeOf(id, '87'),
            leads: 'on',
            resistance: item.contactResistance,
          },
          {
            kind: 'load',
            id: `${id} coil`,
            from: nodeOf(id, '86'),
            to: nodeOf(id, '85'),
            current: coil,
            voltage: RATED,
            duty: 1,
            behaviour: 'resistive',
            when: 'with its relay',
          },
        ],
        ...bundle,
      });
    }
  }
}

/** The part of a wire found on the vehicle. */
export const signalPart = (signal: VehicleSignal): NetPart =>
  partOf({
    id: signal.id,
    name: signal.name,
    sort: 'signal',
    placementId: signal.placementId,
    pins: [
      pinOf(signal.id, signal.name, {
        pin: 'wire',
        name: signal.colour === '' ? 'wire' : signal.colour,
        terminal: { of: 'part', name: signal.name, pin: signal.cavity },
        ...bladeRange,
        joint: 'plug',
      }),
    ],
  });

/** The part of a ground. */
export const groundPart = (ground: Ground): NetPart =>
  partOf({
    id: ground.id,
    name: ground.name,
    sort: 'ground',
    placementId: ground.placementId,
    pins: [
      pinOf(ground.id, ground.name, {
        pin: 'ground',
        terminal: { of: 'part', name: ground.name, pin: '' },
        ...anyLug,
      }),
    ],
  });
