import {
  type Catalogue,
  type DeviceItem,
  type DeviceRole,
  type EcuItem,
  type PinCapability,
  lookUp,
  newestOf,
  refOf,
} from '../../catalogue/index.ts';
import { type Build, type Device, type Ground, ORDER_STEP } from '../../model/index.ts';
import { buildNetlist } from '../netlist/buildNetlist.ts';
import { sharedPartIds } from '../netlist/sharedPartIds.ts';
import { firingOrder } from '../pins/firingOrder.ts';
import { firstAllocation } from '../pins/firstAllocation.ts';
import { controllerSignals, problemOf } from '../pins/problemOf.ts';
import type { Connection } from '../slices/connections.ts';
import { usualSeat } from '../seats/seatWork.ts';
import { ENGINE_CONTROLLER } from '../slices/controllers.ts';
import { usualConnections } from './usualConnections.ts';
import { plainDevice } from '../slices/plainDevice.ts';

/** A value and the place of the build that it takes. */
interface Proposed {
  readonly path: readonly string[];
  readonly value: unknown;
}

const FRAME = 'frame';
const BLOCK = 'engine-block';
const MAIN_RELAY = 'main-relay';
const SENSORS = 'fuse-sensors';
const COILS = 'fuse-coils';
const INJECTORS = 'fuse-injectors';

/** So many coils or injectors are behind one fuse: a larger one would ask for more than they take. */
const BEHIND_ONE = 4;
/** The fuses that so many of a kind need, and which of them the n-th is behind. */
const banksOf = (fuse: string, count: number): readonly string[] => {
  const banks = Math.ceil(count / BEHIND_ONE);
  return banks <= 1 ? [fuse] : Array.from({ length: banks }, (_, i) => `${fuse}-${i + 1}`);
};
const bankOf = (fuse: string, count: number, n: number): string => {
  const banks = banksOf(fuse, count);
  return banks[n % banks.length] ?? fuse;
};

const at = (partId: string, pin: string): Connection => ({ to: 'part', partId, pin });
const stud = at(sharedPartIds.stud, 'stud');
const toGround = (groundId: string): Connection => ({ to: 'ground', groundId });
const toEcu: Connection = {
  to: 'controller',
  controllerId: ENGINE_CONTROLLER,
  pin: '',
  locked: false,
};

/** A device that an engine like this usually has: its role, and what tells the right item apart. */
interface Usual {
  readonly id: string;
  readonly name: string;
  readonly role: DeviceRole;
  readonly prefers: (item: DeviceItem) => boolean;
  readonly feed: string;
  /** of what there is one of a cylinder */
  readonly cylinder?: number | null;
}

const asksFor =
  (capability: PinCapability) =>
  (item: DeviceItem): boolean =>
    item.pins.some((pin) => pin.capability === capability);
const any = (): boolean => true;

const can = (ecu: EcuItem, capability: PinCapability): boolean =>
  ecu.pins.some(({ capabilities }) => capabilities.includes(capability));

/** What pressure a sensor of a boosted manifold has to read, Pa gauge. */
const BOOSTED = 1.5e5;

/** Sensors and actuators of an engine with these cylinders, boosted or not. */
function usualOf({ brief }: Build, ecu: EcuItem): Usual[] {
  const boosted = brief.aspiration !== 'natural';
  const coil = can(ecu, 'logic-out') ? 'logic-out' : 'coil-driver';
  const usual = (
    id: string,
    name: string,
    role: DeviceRole,
    prefers: Usual['prefers'] = any,
    feed = SENSORS,
  ): Usual => ({ id, name, role, prefers, feed });
  const manifold = ({ spanHigh }: DeviceItem): boolean => spanHigh >= (boosted ? BOOSTED : 0);
  return [
    usual('crank', 'Crank sensor', 'crank', asksFor('inductive')),
    ...(can(ecu, 'frequency') ? [usual('cam', 'Cam sensor', 'cam', asksFor('frequency'))] : []),
    usual('coolant', 'Coolant sensor', 'coolant temperature'),
    usual('intake-air', 'Intake air sensor', 'air temperature'),
    usual('manifold-pressure', 'Manifold pressure sensor', 'manifold pressure', manifold),
    usual('throttle', 'Throttle position', 'throttle position'),
    usual('wideband', 'Wideband module', 'lambda', asksFor('analogue')),
    ...Array.from({ length: brief.cylinders }, (_, i) => ({
      ...usual(
        `coil-${i + 1}`,
        `Coil ${i + 1}`,
        'ignition coil',
        asksFor(coil),
        bankOf(COILS, brief.cylinders, i),
      ),
      cylinder: i + 1,
    })),
    ...(boosted ? [usual('boost', 'Boost solenoid', 'boost valve', asksFor('pwm'))] : []),
  ];
}

/** A device with what every proposal says of it. */
const proposed = (
  parts: Pick<Device, 'id' | 'name' | 'part' | 'placementId' | 'connections'>,
): Device => ({ ...plainDevice, ...parts });

/** Main relay and the fuses on both sides of it. */
function suppliesOf(build: Build, catalogue: Catalogue, groundId: string): Device[] {
  const panel = build.power.studPlacementId;
  const [relay] = newestOf(catalogue, 'relay').toSorted(
    (a, b) => b.contactRating - a.contactRating,
  );
  const fuse = (id: string, name: string, from: Connection): Device =>
    proposed({
      id,
      name,
      part: { kind: 'fuse', item: null },
      placementId: panel,
      connections: { in: from },
    });
  if (!relay) return [];
  return [
    fuse('fuse-main-relay', 'Fuse, main relay', stud),
    fuse('fuse-ecu-constant', 'Fuse, ECU constant', stud),
    proposed({
      id: MAIN_RELAY,
      name: 'Main relay',
      part: { kind: 'relay', item: refOf(relay) },
      placementId: panel,
      connections: {
        '30': at('fuse-main-relay', 'out'),
        '86': at(sharedPartIds.keyedFeed, 'wire'),
        '85': toGround(groundId),
      },
    }),
    fuse('fuse-ecu', 'Fuse, ECU', at(MAIN_RELAY, '87')),
    ...banksOf(INJECTORS, build.injectorRows[0]?.count ?? 0).map((id, i) =>
      fuse(id, `Fuse, injectors ${i + 1}`, at(MAIN_RELAY, '87')),
    ),
    ...banksOf(COILS, build.brief.cylinders).map((id, i) =>
      fuse(id, `Fuse, coils ${i + 1}`, at(MAIN_RELAY, '87')),
    ),
    fuse(SENSORS, 'Fuse, sensors and valves', at(MAIN_RELAY, '87')),
  ];
}

/** Frame and block as grounds, the block led to the frame by a strap. */
function groundsOf(build: Build, engineAt: string): Ground[] {
  const ground = (id: string, name: string, on: Ground['on'], placementId: string): Ground => ({
    id,
    name,
    on,
    placementId,
    strapTo: id === BLOCK ? FRAME : null,
    resistance: null,
  });
  return [
    ground(FRAME, 'Frame', 'chassis', build.power.batteryPlacementId),
    ground(BLOCK, 'Engine block', 'engine', engineAt),
  ];
}

/** Supplies and grounds of the ECU by its pins. */
function ecuConnectionsOf(ecu: EcuItem, groundId: string): Record<string, Connection> {
  return Object.fromEntries(
    ecu.pins.flatMap(({ id, capabilities }) => {
      if (capabilities.includes('supply-constant')) return [[id, at('fuse-ecu-constant', 'out')]];
      if (capabilities.includes('supply-switched')) return [[id, at('fuse-ecu', 'out')]];
      return capabilities.includes('power-ground') ? [[id, toGround(groundId)]] : [];
    }),
  );
}

/** The devices with pins for their signals, as far as there are pins for all. */
function withPins(build: Build, devices: readonly Device[], catalogue: Catalogue): Device[] {
  const whole = { ...build, devices: [...build.devices, ...devices] };
  const ecu = lookUp(catalogue, 'ecu', build.power.ecu, 'power.ecu');
  const netlist = buildNetlist({ document: whole, catalogue });
  const order = firingOrder(build.brief.firingOrder, build.brief.cylinders);
  const signals = controllerSignals(whole, netlist, ENGINE_CONTROLLER, ecu, order);
  const pins = firstAllocation(problemOf(ecu, signals).problem);
  if (!pins) return [...devices];
  return devices.map((device) => ({
    ...device,
    connections: Object.fromEntries(
      Object.entries(device.connections).map(([pin, to]) => {
        const found = pins.get(`${device.id}~${pin}`);
        return [pin, found !== undefined && to.to === 'controller' ? { ...to, pin: found } : to];
      }),
    ),
  }));
}

/**
 * What an engine like this usually has, as values to be put into the build: what is there already,
 * by its id or its role, is left as it is. Signals have pins where all of them find one.
 */
export function usualDevices(build: Build, catalogue: Catalogue): Proposed[] {
  const ecu = lookUp(catalogue, 'ecu', build.power.ecu, 'power.ecu');
  const row = build.injectorRows[0];
  const engineAt =
    build.placements.find(({ movesWithEngine }) => movesWithEngine)?.id ??
    build.power.ecuPlacementId;
  const roles = new Set(
    build.devices.flatMap(({ part }) =>
      part.kind === 'item' ? lookUp(catalogue, 'device', part.item, 'devices').role : [],
    ),
  );
  const present = new Set(build.devices.map(({ id }) => id));
  // A build whose only grounds are those of its pumps has neither frame nor block yet.
  const isBareOfGrounds = build.grounds.every(({ on }) => on === 'chassis');
  const grounds = isBareOfGrounds
    ? groundsOf(build, engineAt).filter(({ id }) => !build.grounds.some((own) => own.id === id))
    : [];
  const grounded = { ...build, grounds: [...grounds, ...build.grounds] };
  const groundOn = (base: Ground['on']): string =>
    (grounded.grounds.find(({ on }) => on === base) ?? grounded.grounds[0])?.id ?? FRAME;
  const sensors = usualOf(build, ecu)
    .filter(({ role }) => !roles.has(role))
    .flatMap(({ id, name, role, prefers, feed, cylinder = null }): Device[] => {
      const items = newestOf(catalogue, 'device').filter((item) => item.role === role);
      const item = items.find(prefers) ?? items[0];
      if (!item) return [];
      const connections = usualConnections({
        build: grounded,
        catalogue,
        item,
        supply: at(feed, 'out'),
      });
      const part = { kind: 'item', item: refOf(item) } as const;
      return [
        {
          ...proposed({ id, name, part, placementId: engineAt, connections }),
          seat: usualSeat(item),
          cylinder,
        },
      ];
    });
  const hasInjectors = build.devices.some(({ part }) => part.kind === 'injector');
  const injectors =
    row && !hasInjectors
      ? Array.from({ length: row.count }, (_, i) =>
          proposed({
            id: `injector-${i + 1}`,
            name: `Injector ${i + 1}`,
            part: { kind: 'injector', rowId: row.id, cylinder: i + 1 },
            placementId: engineAt,
            connections: { '1': at(bankOf(INJECTORS, row.count, i), 'out'), '2': toEcu },
          }),
        )
      : [];
  const isBare = Object.keys(build.power.ecuConnections).length === 0;
  const ecuConnections = isBare
    ? ecuConnectionsOf(ecu, groundOn('engine'))
    : build.power.ecuConnections;
  const supplied = { ...grounded, power: { ...build.power, ecuConnections } };
  const devices = withPins(
    supplied,
    [...sensors, ...injectors, ...suppliesOf(build, catalogue, groundOn('chassis'))].filter(
      ({ id }) => !present.has(id),
    ),
    catalogue,
  );
  const stored = ({ id, ...rest }: Device, i: number): Proposed => ({
    path: ['devices', id],
    value: { ...rest, order: ORDER_STEP * (build.devices.length + i + 1) },
  });
  return [
    ...grounds.map(({ id, ...rest }, i) => ({
      path: ['grounds', id],
      value: { ...rest, order: ORDER_STEP * (build.grounds.length + i + 1) },
    })),
    ...(isBare ? [{ path: ['power', 'ecuConnections'], value: ecuConnections }] : []),
    ...(build.power.negativeGroundId === null
      ? [{ path: ['power', 'negativeGroundId'], value: groundOn('chassis') }]
      : []),
    ...devices.map(stored),
  ];
}
