import {
  type Catalogue,
  type ControllerPin,
  type DeviceItem,
  type DevicePin,
  type EcuItem,
  lookUp,
} from '../../catalogue/index.ts';
import type { Controller, Device, Ground, InjectorRow, VehicleSignal } from '../../model/index.ts';
import { NotFound } from '../../quantities/index.ts';
import {
  type InnerContact,
  type InnerElement,
  type NetPart,
  type NetPin,
  type PartSort,
  nodeOf,
} from './netlist.ts';

const bladeRange = { areaMin: 0.3e-6, areaMax: 6e-6 };
const anyLug = { areaMin: 0.3e-6, areaMax: 70e-6, joint: 'lug' as const };
const NO_INRUSH = { factor: 1, time: 1e-3 } as const;

type Ranged = { readonly wireAreaMin: number; readonly wireAreaMax: number };
const range = (item: Ranged) => ({ areaMin: item.wireAreaMin, areaMax: item.wireAreaMax });

/** Resistances Ω inside a controller that switches: defaults of the trade. */
const DRIVER = 0.05;
const CHANNEL = 0.02;
const SENSOR_GROUND = 0.005;
const REFERENCE = 0.5;

type Words = Pick<NetPart, 'id' | 'name' | 'sort' | 'placementId' | 'pins'> & Partial<NetPart>;
const part = (words: Words): NetPart => ({
  role: undefined,
  inside: [],
  outputs: [],
  inrush: NO_INRUSH,
  fuse: undefined,
  fuseStyle: undefined,
  loadedTogether: 1,
  bundledAt: [],
  ...words,
});

type PinWords = Pick<NetPin, 'pin' | 'areaMin' | 'areaMax' | 'joint'> & Partial<NetPin>;
const pinOf = (partId: string, partName: string, words: PinWords): NetPin => ({
  node: nodeOf(partId, words.pin),
  name: words.pin,
  use: 'through',
  terminal: { of: 'part', name: partName, pin: words.pin },
  asks: undefined,
  ...words,
});

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

function elementOf(id: string, pin: DevicePin): InnerElement | undefined {
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
        leads: 'on',
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
        behaviour: pin.behaviour,
        when: pin.when,
      };
  }
}

const sorts: Partial<Record<DeviceItem['role'], PartSort>> = {
  stud: 'stud',
  switch: 'switch',
  'key switch': 'switch',
  'inertia switch': 'switch',
  isolator: 'switch',
};

function itemPart(device: Device, item: DeviceItem): NetPart {
  const joint = item.plugFamily === 'ring terminal' ? 'lug' : 'plug';
  return part({
    id: device.id,
    name: device.name,
    sort: sorts[item.role] ?? 'device',
    role: item.role,
    placementId: device.placementId,
    pins: item.pins.map((pin) =>
      pinOf(device.id, device.name, {
        pin: pin.id,
        name: pin.name,
        use: pin.use,
        ...range(item),
        joint,
        asks: asksOf(pin),
      }),
    ),
    inside: item.pins.flatMap((pin) => elementOf(device.id, pin) ?? []),
    outputs: item.pins
      .filter(({ use, current }) => use === 'supply-out' && current > 0)
      .map((pin) => ({ node: nodeOf(device.id, pin.id), current: pin.current })),
    inrush: { factor: item.inrushFactor, time: item.inrushTime },
    loadedTogether: device.loadedTogether,
    bundledAt: ['devices', device.id, 'loadedTogether'],
  });
}

const RATED = 13.5;
/** What a peak-and-hold injector takes on average while it is open, A. */
const HOLD = 1;
const PEAK = 4;
const INJECTOR_DUTY = 0.85;

function injectorPart(
  device: Device,
  row: Pick<InjectorRow, 'id' | 'item'>,
  catalogue: Catalogue,
): NetPart {
  const item = lookUp(catalogue, 'injector', row.item, `injectorRows.${row.id}.item`);
  const held = item.driver === 'peak-hold';
  const saturated = RATED / item.resistance;
  const contact = { areaMin: 0.3e-6, areaMax: 1e-6, joint: 'plug' as const };
  return part({
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
        behaviour: 'resistive',
        when: 'engine turning',
      },
    ],
    loadedTogether: device.loadedTogether,
    bundledAt: ['devices', device.id, 'loadedTogether'],
  });
}

/** The part of a device, with its pins and what lies between them. */
export function devicePart(input: {
  readonly device: Device;
  readonly rows: readonly Pick<InjectorRow, 'id' | 'item'>[];
  readonly catalogue: Catalogue;
}): NetPart {
  const { device, rows, catalogue } = input;
  const { id, name, placementId, loadedTogether } = device;
  const bundle = { loadedTogether, bundledAt: ['devices', id, 'loadedTogether'] };
  const where = `devices.${id}`;
  switch (device.part.kind) {
    case 'item':
      return itemPart(device, lookUp(catalogue, 'device', device.part.item, where));
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
        ...(item ? range(item) : bladeRange),
        joint: bolt ? ('lug' as const) : ('holder' as const),
      };
      return part({
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
      const contact = { ...range(item), joint: 'holder' as const };
      const coil = RATED / item.coilResistance;
      const lowSide = device.connections['86']?.to !== 'controller';
      const asks = {
        capability: lowSide ? ('low-side' as const) : ('high-side' as const),
        current: coil,
        frequency: 0,
        pairedWith: undefined,
      };
      return part({
        id,
        name,
        sort: 'relay',
        placementId,
        pins: ['30', '87', '86', '85'].map((pin) =>
          pinOf(id, name, {
            pin,
            use: pin === '87' ? 'supply-out' : pin === '30' || pin === '86' ? 'supply' : 'through',
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

const has = (
  pin: ControllerPin,
  ...capabilities: readonly ControllerPin['capabilities'][number][]
) => pin.capabilities.some((each) => capabilities.includes(each));

/** What a controller joins inside: outputs to its supply or its grounds, references, sensor grounds. */
function insideController(id: string, item: EcuItem): InnerElement[] {
  const node = (pin: ControllerPin): string => nodeOf(id, pin.id);
  const supplies = item.pins.filter((pin) => has(pin, 'supply-switched'));
  const [supply] = supplies;
  const grounds = item.pins.filter((pin) => has(pin, 'power-ground'));
  const [ground] = grounds;
  const contact = (
    leads: 'on' | 'back',
    name: string,
    from: string,
    to: string,
    resistance: number,
  ): InnerContact => ({
    kind: 'contact',
    leads,
    id: `${id} ${name}`,
    from,
    to,
    resistance,
  });
  const inner: InnerElement[] = [
    ...grounds
      .slice(1)
      .map((pin) => contact('back', `ground ${pin.id}`, node(pin), node(ground ?? pin), 1e-3)),
    ...supplies
      .slice(1)
      .map((pin) => contact('on', `supply ${pin.id}`, node(supply ?? pin), node(pin), 1e-3)),
  ];
  if (!ground) return inner;
  for (const pin of item.pins) {
    if (has(pin, 'low-side', 'peak-hold', 'coil-driver', 'pwm') && !has(pin, 'high-side')) {
      inner.push(contact('back', `sinks ${pin.id}`, node(pin), node(ground), DRIVER));
    } else if (has(pin, 'high-side') && supply) {
      const limit = pin.current > 0 ? { limit: pin.current } : {};
      inner.push({
        ...contact('on', `feeds ${pin.id}`, node(supply), node(pin), CHANNEL),
        ...limit,
      });
    } else if (has(pin, 'sensor-ground')) {
      inner.push(
        contact('back', `sensor ground ${pin.id}`, node(pin), node(ground), SENSOR_GROUND),
      );
    } else if (has(pin, 'reference-5v')) {
      inner.push({
        kind: 'source',
        id: `${id} 5 V ${pin.id}`,
        from: node(ground),
        to: node(pin),
        voltage: 5,
        resistance: REFERENCE,
      });
    } else if (has(pin, 'analogue-pull-up') && pin.pullUp > 0) {
      inner.push({
        kind: 'source',
        id: `${id} pull-up ${pin.id}`,
        from: node(ground),
        to: node(pin),
        voltage: 5,
        resistance: pin.pullUp,
      });
    }
  }
  return inner;
}

/** The part of a controller; its load is what its electronics take. */
export function controllerPart(
  controller: Pick<Controller, 'id' | 'name' | 'placementId' | 'loadedTogether'> & {
    readonly bundledAt: readonly string[];
    readonly terminalOf?: (pin: string) => NetPin['terminal'];
  },
  item: EcuItem,
): NetPart {
  const { id, name, terminalOf } = controller;
  const supply = item.pins.find((pin) => has(pin, 'supply-switched'));
  const ground = item.pins.find((pin) => has(pin, 'power-ground'));
  const own: InnerElement[] =
    supply && ground
      ? [
          {
            kind: 'load',
            id: `${id} electronics`,
            from: nodeOf(id, supply.id),
            to: nodeOf(id, ground.id),
            current: 0.8,
            voltage: RATED,
            duty: 1,
            behaviour: 'electronic',
            when: 'key on',
          },
        ]
      : [];
  return part({
    id,
    name,
    sort: 'controller',
    placementId: controller.placementId,
    pins: item.pins.map((pin) =>
      pinOf(id, name, {
        pin: pin.id,
        name: pin.name,
        use: 'controller',
        ...range(item),
        joint: 'plug',
        ...(terminalOf ? { terminal: terminalOf(pin.id) } : {}),
      }),
    ),
    inside: [...own, ...insideController(id, item)],
    loadedTogether: controller.loadedTogether,
    bundledAt: controller.bundledAt,
  });
}

/** The part of a wire found on the vehicle. */
export const signalPart = (signal: VehicleSignal): NetPart =>
  part({
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
  part({
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
