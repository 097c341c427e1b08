import {
  type Of,
  choice,
  constant,
  idOf,
  itemRef,
  kinds,
  nullable,
  object,
  orderField,
  quantityOrNone,
  record,
  text,
  whole,
  yesNo,
} from '../../model/spec.ts';
import { connectionSpec } from './connections.ts';

/** Whether a device comes with the conversion, stays, or goes. */
export const deviceStates = ['new', 'kept', 'removed'] as const;
export type DeviceState = (typeof deviceStates)[number];

/**
 * What a device is: an item of the catalogue, an injector of a row, a pump of a fuel circuit, or a
 * switch that cuts the pumps off in a crash of which nobody said yet which one it is.
 */
export const devicePartSpec = kinds('kind', {
  item: object({ kind: constant('item'), item: itemRef('device') }),
  fuse: object({
    kind: constant('fuse'),
    item: nullable(itemRef('fuse'), { help: 'null: chosen by the rules' }),
  }),
  relay: object({ kind: constant('relay'), item: itemRef('relay') }),
  injector: object({
    kind: constant('injector'),
    rowId: idOf('injectorRows', 'injector row'),
    cylinder: whole({ label: 'Cylinder', min: 1, max: 24 }),
  }),
  pump: object({
    kind: constant('pump'),
    circuitId: idOf('fuelCircuits', 'fuel circuit'),
    elementId: idOf('elements', 'pump', { within: 'circuitId' }),
  }),
  'cut-off': object({ kind: constant('cut-off') }),
});
export type DevicePart = Of<typeof devicePartSpec>;

/** Whether what a device is screwed into is there, is tapped for it, or is a boss that is welded on. */
export const seatKinds = ['there', 'tapped', 'boss'] as const;
export type SeatKind = (typeof seatKinds)[number];

/** A wire that is led through a way of a connector, and which end of it is on the way's own pin. */
export const connectorWaySpec = object({
  wireId: text({ label: 'Wire', min: 1, max: 120 }),
  fromHere: yesNo({ label: 'Its beginning is on this side', initial: true }),
});
export type StoredConnectorWay = Of<typeof connectorWaySpec>;

/** A device on the vehicle, and where each of its pins is wired to. */
export const deviceSpec = object({
  order: orderField,
  name: text({ label: 'Name', min: 1, max: 80 }),
  part: devicePartSpec,
  placementId: idOf('placements', 'place', { label: 'Sits at' }),
  state: choice(deviceStates, { label: 'In this conversion', initial: 'new' }),
  replacedBy: text({
    label: 'Replaced by',
    help: 'of what goes: what does its work then',
    min: 0,
    max: 80,
    initial: '',
  }),
  seat: choice(seatKinds, {
    label: 'Its seat',
    help: 'of what is screwed in: there already, tapped for it, or a boss that is welded on',
    since: 11,
    initial: 'there',
  }),
  cylinder: nullable(whole({ label: 'Cylinder', min: 1, max: 24 }), {
    help: 'of a coil: the one that it fires',
  }),
  loadedTogether: whole({ label: 'Wires loaded in its bundle', min: 1, max: 40, initial: 4 }),
  positionLimit: quantityOrNone('current', 'A', {
    label: 'Its position carries',
    help: 'of a fuse in a box or block: the most that its maker allows in one position; empty: a holder made for the fuse',
    since: 14,
    min: 1,
    max: 1000,
    message: 'a position carries from 1 to 1000 A',
  }),
  connections: record(connectionSpec, { max: 80, key: 20, initial: {} }),
  /** of a connector: what leads through it, by the pin of a way */
  ways: record(connectorWaySpec, { max: 140, key: 20, since: 16, initial: {} }),
});
export type StoredDevice = Of<typeof deviceSpec>;

export const devicesSpec = record(deviceSpec, { max: 600, initial: {} });
