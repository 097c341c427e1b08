import { type Catalogue, type DeviceItem, type EcuItem, lookUp } from '../../catalogue/index.ts';
import type { Build } from '../../model/index.ts';
import type { Connection } from '../slices/connections.ts';
import { ENGINE_CONTROLLER } from '../slices/controllers.ts';

type Wired = Pick<Build, 'power' | 'devices' | 'grounds'>;
type Connections = Record<string, Connection>;

/** A controller that a device may be wired to. */
interface Unit {
  readonly id: string;
  readonly item: EcuItem;
}

/** How many devices are on a pin of the ECU already. */
function usedBy({ devices }: Wired, controllerId: string, pin: string): number {
  return devices.reduce(
    (sum, { connections }) =>
      sum +
      Object.values(connections).filter(
        (to) => to.to === 'controller' && to.controllerId === controllerId && to.pin === pin,
      ).length,
    0,
  );
}

/** The pin of a kind that fewest are on. */
function leastUsed(
  build: Wired,
  { id: controllerId, item }: Unit,
  capability: 'sensor-ground' | 'reference-5v',
): Connection | undefined {
  const [pin] = item.pins
    .filter(({ capabilities }) => capabilities.includes(capability))
    .sort((a, b) => usedBy(build, controllerId, a.id) - usedBy(build, controllerId, b.id));
  return pin && { to: 'controller', controllerId, pin: pin.id, locked: false };
}

/**
 * How the pins of a device are usually wired: sensor grounds and references to the ECU, signals to
 * pins of it that are looked for later, grounds to the first ground of the build, supplies to what
 * feeds them.
 */
export function usualConnections(input: {
  readonly build: Wired;
  readonly catalogue: Catalogue;
  readonly item: DeviceItem;
  /** fuse, relay or stud that is to feed it */
  readonly supply: Connection | undefined;
  /** the controller that it is wired to; the engine’s where none is told */
  readonly controller?: Unit;
}): Connections {
  const { build, catalogue, item, supply } = input;
  const unit = input.controller ?? {
    id: ENGINE_CONTROLLER,
    item: lookUp(catalogue, 'ecu', build.power.ecu, 'power.ecu'),
  };
  const [ground] = build.grounds;
  const toController: Connection = {
    to: 'controller',
    controllerId: unit.id,
    pin: '',
    locked: false,
  };
  const connectionOf = (pin: DeviceItem['pins'][number]): Connection | undefined => {
    switch (pin.use) {
      case 'supply':
        return supply;
      case 'ground':
        return ground && { to: 'ground', groundId: ground.id };
      case 'sensor-ground':
      case 'shield':
        return leastUsed(build, unit, 'sensor-ground');
      case 'reference-5v':
        return leastUsed(build, unit, 'reference-5v');
      case 'signal':
        return pin.capability === 'none' ? undefined : toController;
      case 'supply-out':
      case 'charge-lamp':
      case 'case':
      case 'bus-high':
      case 'bus-low':
      case 'through':
      case 'spare':
        return undefined;
    }
  };
  return Object.fromEntries(
    item.pins.flatMap((pin) => {
      const connection = connectionOf(pin);
      return connection ? [[pin.id, connection] as const] : [];
    }),
  );
}

/** Everything that can feed a device: fuses, relays’ contacts, studs, wires found. */
export interface SupplyChoice {
  readonly name: string;
  readonly connection: Connection;
}

/** What of a build can feed a device, by name. */
export function supplyChoices(
  build: Pick<Build, 'devices' | 'vehicleSignals'>,
  catalogue: Catalogue,
): SupplyChoice[] {
  const at = (partId: string, pin: string): Connection => ({ to: 'part', partId, pin });
  return [
    { name: 'Power stud', connection: at('stud', 'stud') },
    ...build.devices.flatMap(({ id, name, part, state }): SupplyChoice[] => {
      if (state === 'removed') return [];
      switch (part.kind) {
        case 'fuse':
          return [{ name, connection: at(id, 'out') }];
        case 'relay':
          return [{ name: `${name}, 87`, connection: at(id, '87') }];
        case 'item':
          return lookUp(catalogue, 'device', part.item, id)
            .pins.filter(({ use }) => use === 'supply-out')
            .map((pin) => ({ name: `${name}, ${pin.name}`, connection: at(id, pin.id) }));
        case 'injector':
        case 'pump':
        case 'cut-off':
          return [];
      }
    }),
    ...build.vehicleSignals.map(({ id, name }) => ({
      name,
      connection: { to: 'signal' as const, signalId: id },
    })),
  ];
}
