import type { Connection } from '../../electrics/model.ts';
import { plainDevice } from '../../electrics/slices/plainDevice.ts';
import type {
  Build,
  Controller,
  Device,
  Ground,
  Placement,
  VehicleSignal,
} from '../../model/index.ts';
import { type Millimetres, place, q, ref } from './shorthand.ts';

/** What the wiring of a demo is made of. */
export interface DemoWiring extends Pick<
  Build,
  'devices' | 'controllers' | 'vehicleSignals' | 'grounds'
> {
  readonly ecuConnections: Build['power']['ecuConnections'];
  readonly placements: readonly Placement[];
}

/** To a pin of the ECU; '' while it has none. */
export const ecu = (pin: string, controllerId = 'ecu'): Connection => ({
  to: 'controller',
  controllerId,
  pin,
  locked: false,
});
/** To a pin of another part. */
export const at = (partId: string, pin: string): Connection => ({ to: 'part', partId, pin });
export const out = (partId: string): Connection => at(partId, 'out');
export const found = (signalId: string): Connection => ({ to: 'signal', signalId });
export const ground = (groundId: string): Connection => ({ to: 'ground', groundId });

type Connections = Readonly<Record<string, Connection>>;
interface Sits {
  readonly state?: Device['state'];
  readonly replacedBy?: string;
  readonly seat?: Device['seat'];
  readonly cylinder?: number;
  readonly loadedTogether?: number;
}

const device = (
  id: string,
  name: string,
  part: Device['part'],
  placementId: string,
  connections: Connections,
  sits: Sits = {},
): Device => ({ ...plainDevice, id, name, part, placementId, connections, ...sits });

/** A device of the catalogue. */
export const fitted = (
  id: string,
  name: string,
  item: string,
  placementId: string,
  connections: Connections,
  sits?: Sits,
): Device => device(id, name, { kind: 'item', item: ref(item) }, placementId, connections, sits);

/** A fuse chosen by the rules, fed from somewhere. */
export const fuse = (id: string, name: string, from: Connection, placementId = 'panel'): Device =>
  device(id, name, { kind: 'fuse', item: null }, placementId, { in: from });

/** A bolt-down fuse of the catalogue. */
export const boltFuse = (
  id: string,
  name: string,
  item: string,
  from: Connection,
  placementId: string,
): Device =>
  device(
    id,
    name,
    { kind: 'fuse', item: ref(item) },
    placementId,
    { in: from },
    { loadedTogether: 1 },
  );

/** A relay with its feed and its coil. */
export const relay = (
  id: string,
  name: string,
  item: string,
  connections: Connections,
  placementId = 'panel',
): Device => device(id, name, { kind: 'relay', item: ref(item) }, placementId, connections);

export const injector = (
  id: string,
  name: string,
  rowId: string,
  cylinder: number,
  placementId: string,
  connections: Connections,
): Device => device(id, name, { kind: 'injector', rowId, cylinder }, placementId, connections);

export const controller = (
  id: string,
  name: string,
  item: string,
  placementId: string,
  connections: Connections,
  state: Controller['state'] = 'new',
): Controller => ({
  id,
  name,
  item: ref(item),
  placementId,
  state,
  loadedTogether: 3,
  connections,
});

export const groundAt = (
  id: string,
  name: string,
  on: Ground['on'],
  placementId: string,
  strapTo: string | null = null,
): Ground => ({ id, name, on, placementId, strapTo, resistance: null });

const volts = (value: number | undefined) =>
  value === undefined ? null : q(value, 'voltage', 'V');

/** A wire found on the vehicle, measured in OFF, ACC, RUN, CRANK. */
export const signal = (
  id: string,
  name: string,
  use: VehicleSignal['use'],
  placementId: string,
  [off, acc, run, crank]: readonly (number | undefined)[],
  more: {
    readonly colour?: string;
    readonly base?: VehicleSignal['base'];
    readonly stripe?: VehicleSignal['stripe'];
    readonly fuse?: number;
  } = {},
): VehicleSignal => ({
  id,
  name,
  use,
  colour: more.colour ?? '',
  base: more.base ?? null,
  stripe: more.stripe ?? null,
  connector: '',
  cavity: '',
  placementId,
  off: volts(off),
  acc: volts(acc),
  run: volts(run),
  crank: volts(crank),
  fuse: more.fuse === undefined ? null : q(more.fuse, 'current', 'A'),
  sourceResistance: null,
});

/** Devices of which some sit in a thread that is cut for them, or in a boss. */
export const seated = (
  devices: readonly Device[],
  seats: Readonly<Record<string, Device['seat']>>,
): Device[] => devices.map((each) => ({ ...each, seat: seats[each.id] ?? each.seat }));

/** A place on the engine, which moves with it. */
export const seat = (id: string, name: string, where: Millimetres): Placement => ({
  ...place(id, name, where, 'engine-bay'),
  movesWithEngine: true,
});

/** A connector in the harness: wires that begin on the side of its first pins, and those that end there. */
export const inlineConnector = (
  id: string,
  name: string,
  item: string,
  placementId: string,
  { beginning, ending }: { readonly beginning: string; readonly ending: string },
): Device => {
  const ways = [
    ...beginning.split(/\s+/u).map((wireId) => ({ wireId, fromHere: true })),
    ...ending.split(/\s+/u).map((wireId) => ({ wireId, fromHere: false })),
  ].filter(({ wireId }) => wireId !== '');
  return {
    ...fitted(id, name, item, placementId, {}),
    ways: Object.fromEntries(ways.map((way, i) => [`${i + 1}A`, way])),
  };
};
