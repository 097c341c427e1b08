import {
  type Build,
  type Catalogue,
  type Connection,
  type Device,
  type DeviceItem,
  ENGINE_CONTROLLER,
  lookUp,
  pumpsOf,
} from '@brookrain/core';

/** A pin of a device as it is wired: relays, fuses and injectors have theirs by their kind. */
export interface OwnPin {
  readonly id: string;
  readonly name: string;
}

/** The catalogue's item of a device; undefined for relays, fuses and injectors. */
export const itemOf = (device: Device, catalogue: Catalogue): DeviceItem | undefined =>
  device.part.kind === 'item'
    ? lookUp(catalogue, 'device', device.part.item, `devices.${device.id}`)
    : undefined;

/** What a device is, in a word. */
export function partInWords(device: Device, build: Build, catalogue: Catalogue): string {
  const { part } = device;
  switch (part.kind) {
    case 'item':
      return lookUp(catalogue, 'device', part.item, device.id).designation;
    case 'relay':
      return lookUp(catalogue, 'relay', part.item, device.id).designation;
    case 'fuse':
      return part.item
        ? lookUp(catalogue, 'fuse', part.item, device.id).designation
        : 'Fuse, chosen by the rules';
    case 'injector': {
      const row = build.injectorRows.find(({ id }) => id === part.rowId);
      return row ? lookUp(catalogue, 'injector', row.item, row.id).designation : 'Injector';
    }
    case 'pump': {
      const element = build.fuelCircuits.flatMap(pumpsOf).find(({ id }) => id === part.elementId);
      return element
        ? lookUp(catalogue, 'pump', element.item, element.id).designation
        : 'Fuel pump';
    }
    case 'cut-off':
      return 'Inertia switch, not chosen yet';
  }
}

/** The pins of a device. */
export function pinsOf(device: Device, catalogue: Catalogue): readonly OwnPin[] {
  const named = (...pins: readonly (readonly [id: string, name: string])[]) =>
    pins.map(([id, name]) => ({ id, name }));
  switch (device.part.kind) {
    case 'item':
      return (itemOf(device, catalogue)?.pins ?? []).map(({ id, name }) => ({ id, name }));
    case 'relay':
      return named(['30', 'Feed'], ['86', 'Coil +'], ['85', 'Coil −'], ['87', 'Switched']);
    case 'fuse':
      return named(['in', 'Feed'], ['out', 'Fused']);
    case 'injector':
      return named(['1', 'Supply'], ['2', 'Switched']);
    case 'pump':
      return named(['+', 'Supply'], ['−', 'Ground']);
    case 'cut-off':
      return named(['in', 'In'], ['out', 'Out']);
  }
}

/** Where a pin is wired to, in words. */
export function connectionInWords(
  to: Connection | undefined,
  build: Build,
  catalogue: Catalogue,
): string {
  if (!to) return 'nothing';
  switch (to.to) {
    case 'part': {
      const name = build.devices.find(({ id }) => id === to.partId)?.name;
      return name === undefined ? `${to.partId} ${to.pin}` : `${name}, ${to.pin}`;
    }
    case 'controller': {
      const unit =
        to.controllerId === ENGINE_CONTROLLER
          ? lookUp(catalogue, 'ecu', build.power.ecu, 'power.ecu').designation
          : (build.controllers.find(({ id }) => id === to.controllerId)?.name ?? to.controllerId);
      return to.pin === '' ? `${unit}, no pin yet` : `${unit} ${to.pin}`;
    }
    case 'signal':
      return build.vehicleSignals.find(({ id }) => id === to.signalId)?.name ?? to.signalId;
    case 'ground':
      return build.grounds.find(({ id }) => id === to.groundId)?.name ?? to.groundId;
  }
}
