import { type Catalogue, lookUp, pinUseOf } from '../../catalogue/index.ts';
import type { BoughtHarness, Build, FuelCircuit, InjectorRow } from '../../model/index.ts';
import type { Connection } from '../slices/connections.ts';
import { ENGINE_CONTROLLER } from '../slices/controllers.ts';
import { controllerPart } from './controllerPart.ts';
import { devicePart, groundPart, signalPart } from './deviceParts.ts';
import { type PinAt, endAt } from './partOf.ts';
import type { DerivedWire, WireRole } from './derivedWire.ts';
import {
  CHASSIS,
  type NetPart,
  type NetPin,
  type NetSource,
  type Netlist,
  nodeOf,
} from './netlist.ts';
import { pumpFeedsOf } from '../feeds/pumpFeed.ts';
import { sharedPartIds } from './sharedPartIds.ts';
import { sharedParts } from './sharedParts.ts';
import { impliedPart } from './impliedPart.ts';
import { withBoughtSizes } from './boughtSizes.ts';
import { withInlineConnectors } from './inlineConnectors.ts';
import { withSplices } from './splices.ts';

/** What of a circuit is electric: its pumps. */
export type WiredCircuit = Pick<FuelCircuit, 'id' | 'elements'>;
/** What of a row is electric: which injector it is. */
export type WiredRow = Pick<InjectorRow, 'id' | 'item'>;

/** What of a build is electric. */
export interface ElectricBuild extends Pick<
  Build,
  'power' | 'devices' | 'controllers' | 'vehicleSignals' | 'grounds'
> {
  readonly fuelCircuits: readonly WiredCircuit[];
  readonly injectorRows: readonly WiredRow[];
  /** looms that are bought ready, whose wires are as thick as they are */
  readonly bought?: readonly BoughtHarness[];
}

/** Ω from battery to where a wire was found, where nobody says. */
const FOUND_RESISTANCE = 0.05;

function roleOf(
  { part, pin }: PinAt,
  target: Connection,
  to: PinAt,
  isBus: (pin: NetPin) => boolean,
): WireRole {
  if (pin.use === 'coil-return') return pin.asks ? 'triggered' : 'ground';
  const isJoint = pin.use === 'controller' || pin.use === 'joint';
  const wire = isJoint ? 'of the other end' : pinUseOf(pin.use).wire;
  if (wire !== 'of the other end') return wire;
  if (target.to === 'ground') return 'ground';
  if (isBus(to.pin)) return 'bus';
  if (pin.use === 'controller' && target.to === 'controller') return 'signal';
  return part.sort === 'relay' && pin.asks ? 'triggered' : 'supply';
}

/** Whether current comes to the pin from where it is wired to. */
const comesFrom = (role: WireRole): boolean => role === 'supply' || role === 'reference';

/** Everything electric of a build as one netlist. Throws NotFound where an item is not there. */
export function buildNetlist(input: {
  readonly document: ElectricBuild;
  readonly catalogue: Catalogue;
}): Netlist {
  const { document, catalogue } = input;
  const { power } = document;
  const item = lookUp(catalogue, 'ecu', power.ecu, 'power.ecu');
  const listed = controllerPart(
    {
      id: ENGINE_CONTROLLER,
      name: item.designation,
      placementId: power.ecuPlacementId,
      loadedTogether: 4,
      bundledAt: ['power', 'ecu'],
      terminalOf: (pin) => ({ of: 'ecu', pin }),
    },
    item,
  );
  // An older entry of an ECU may not list its pins: the pump's at least is known.
  const ecu: NetPart = listed.pins.some(({ pin }) => pin === item.pumpPin)
    ? listed
    : {
        ...listed,
        pins: [
          ...listed.pins,
          {
            node: nodeOf(ENGINE_CONTROLLER, item.pumpPin),
            pin: item.pumpPin,
            name: 'Pump',
            use: 'controller',
            terminal: { of: 'ecu', pin: item.pumpPin },
            areaMin: item.wireAreaMin,
            areaMax: item.wireAreaMax,
            joint: 'plug',
            asks: undefined,
          },
        ],
      };
  const present = document.devices.filter(({ state }) => state !== 'removed');
  const shared = sharedParts({ power, devices: present, catalogue });
  const parts: NetPart[] = [
    ...shared.parts,
    ecu,
    ...document.controllers.map((each) =>
      controllerPart(
        { ...each, bundledAt: ['controllers', each.id, 'loadedTogether'] },
        lookUp(catalogue, 'ecu', each.item, `controllers.${each.id}.item`),
      ),
    ),
    ...document.vehicleSignals.map(signalPart),
    ...document.grounds.map(groundPart),
    ...present.map((device) =>
      devicePart({
        device,
        rows: document.injectorRows,
        circuits: document.fuelCircuits,
        catalogue,
      }),
    ),
  ];
  const byNode = new Map(
    parts.flatMap((part) => part.pins.map((pin) => [pin.node, { part, pin }] as const)),
  );
  const decisions = new Map(power.wireDecisions.map((each) => [each.wireId, each]));
  const wires: DerivedWire[] = [...shared.wires];
  const unassigned: { partId: string; pin: string }[] = [];
  const targetOf = (target: Connection): PinAt | undefined => {
    switch (target.to) {
      case 'part':
        return byNode.get(nodeOf(target.partId, target.pin));
      case 'controller':
        return byNode.get(nodeOf(target.controllerId, target.pin));
      case 'signal':
        return byNode.get(nodeOf(target.signalId, 'wire'));
      case 'ground':
        return byNode.get(nodeOf(target.groundId, 'ground'));
    }
  };
  const units = [
    { id: ENGINE_CONTROLLER, item },
    ...document.controllers.map(({ id, item: ref }) => ({
      id,
      item: lookUp(catalogue, 'ecu', ref, `controllers.${id}.item`),
    })),
  ];
  const busNodes = new Set(
    units.flatMap(({ id, item: { pins } }) =>
      pins.flatMap((pin) => (pin.capabilities.includes('can') ? [nodeOf(id, pin.id)] : [])),
    ),
  );
  const isBus = ({ use, node }: NetPin): boolean =>
    use === 'bus-high' || use === 'bus-low' || busNodes.has(node);
  const wire = (id: string, name: string, from: PinAt, target: Connection): void => {
    const to = targetOf(target);
    if (!to || to.pin.node === from.pin.node) return;
    const role = roleOf(from, target, to, isBus);
    const isFed = comesFrom(role) || (role === 'triggered' && from.pin.use === 'supply');
    const [source, sink] = isFed ? [to, from] : [from, to];
    wires.push({
      id,
      name,
      role,
      partId: from.part.id,
      from: endAt(source),
      to: endAt(sink),
      decision: decisions.get(id),
    });
  };
  // The coil of a pump's relay that nobody put on a pin is on the one the ECU has for the pump.
  const pumpRelays = new Set(pumpFeedsOf({ devices: present }).map(({ relayId }) => relayId));
  const settled = (partId: string, target: Connection): Connection | undefined => {
    if (target.to !== 'controller' || target.pin !== '') return target;
    const ofPump = pumpRelays.has(partId) && target.controllerId === ENGINE_CONTROLLER;
    return ofPump ? { ...target, pin: item.pumpPin } : undefined;
  };
  const wirePart = (partId: string, connections: Readonly<Record<string, Connection>>): void => {
    const part = parts.find(({ id }) => id === partId);
    for (const pin of part?.pins ?? []) {
      const decided = connections[pin.pin];
      if (!part || !decided) continue;
      const target = settled(partId, decided);
      if (!target) {
        unassigned.push({ partId, pin: pin.pin });
        continue;
      }
      const name = pin.name === pin.pin ? `${part.name}, ${pin.pin}` : `${part.name}, ${pin.name}`;
      wire(`${partId}~${pin.pin}`, name, { part, pin }, target);
    }
  };
  wirePart(ENGINE_CONTROLLER, power.ecuConnections);
  for (const each of document.controllers) wirePart(each.id, each.connections);
  for (const each of present) wirePart(each.id, each.connections);
  for (const { id, name, strapTo } of document.grounds) {
    const from = byNode.get(nodeOf(id, 'ground'));
    if (from && strapTo !== null) {
      wire(`${id}~strap`, `Strap of ${name}`, from, { to: 'ground', groundId: strapTo });
    }
  }
  const negative = byNode.get(nodeOf(sharedPartIds.battery, '−'));
  if (negative && power.negativeGroundId !== null) {
    const target: Connection = { to: 'ground', groundId: power.negativeGroundId };
    wire('battery~−', 'Battery to ground', negative, target);
  }
  const direct: Netlist = {
    parts: [...parts, impliedPart(document, parts, item)],
    wires,
    direct: wires,
    sources: sourcesOf(document, catalogue),
    ground: CHASSIS,
    unassigned,
  };
  const parted = withInlineConnectors(withSplices(direct, decisions), present, decisions);
  return withBoughtSizes(parted, document.bought ?? []);
}

function sourcesOf(document: ElectricBuild, catalogue: Catalogue): NetSource[] {
  const battery = lookUp(catalogue, 'battery', document.power.battery, 'power.battery');
  const negative = nodeOf(sharedPartIds.battery, '−');
  return [
    {
      id: 'battery source',
      node: nodeOf(sharedPartIds.battery, '+'),
      negative,
      signalId: undefined,
      found: false,
      resistance: battery.internalResistance,
      fuseRating: undefined,
    },
    {
      id: 'keyed feed source',
      node: nodeOf(sharedPartIds.keyedFeed, 'wire'),
      negative,
      signalId: undefined,
      found: true,
      resistance: FOUND_RESISTANCE,
      fuseRating: undefined,
    },
    ...document.vehicleSignals.map((signal) => ({
      id: `${signal.id} source`,
      node: nodeOf(signal.id, 'wire'),
      negative,
      signalId: signal.id,
      found: true,
      resistance: signal.sourceResistance?.value ?? FOUND_RESISTANCE,
      fuseRating: signal.fuse?.value,
    })),
  ];
}
