import { type Catalogue, lookUp } from '../../catalogue/index.ts';
import {
  ENGINE_CONTROLLER,
  type NetPart,
  type Netlist,
  sharedPartIds,
} from '../../electrics/index.ts';
import type { Controller, Device, PowerDesign } from '../../model/index.ts';

/** A plug of the harness: the mating half of a device, of one header of a controller. */
export interface HarnessConnector {
  readonly id: string;
  readonly name: string;
  readonly partId: string;
  readonly placementId: string;
  /** family of contacts; of a controller its header */
  readonly family: string;
  /** its pins by node, in their order */
  readonly cavities: readonly { readonly pin: string; readonly node: string }[];
  /** which of them a wire ends at */
  readonly used: readonly string[];
}

/** Parts at which wires end without a plug: joined, bolted, or found on the vehicle. */
const noPlug: ReadonlySet<NetPart['sort']> = new Set([
  'splice',
  'signal',
  'battery',
  'ground',
  'stud',
]);
const ownEnds: ReadonlySet<string> = new Set([sharedPartIds.battery, sharedPartIds.keyedFeed]);

/** Families of what has no entry that says it. */
const usualFamilies: Readonly<Record<Exclude<Device['part']['kind'], 'item'>, string>> = {
  injector: 'S1.5',
  pump: 'S2.8',
  'cut-off': 'S2.8',
  fuse: 'blade 6.3',
  relay: 'blade 6.3',
};

export interface ConnectorInput {
  readonly netlist: Pick<Netlist, 'parts' | 'wires'>;
  readonly power: Pick<PowerDesign, 'ecu'>;
  readonly controllers: readonly Controller[];
  readonly devices: readonly Device[];
  readonly catalogue: Catalogue;
}

/** The two halves of a connector in the harness: the pins that name its ways, and those behind. */
function halvesOf(
  part: NetPart,
  family: string,
  made: (
    part: NetPart,
    id: string,
    name: string,
    family: string,
    pins: NetPart['pins'],
  ) => HarnessConnector[],
): HarnessConnector[] {
  const first = new Set(
    part.inside.flatMap(({ kind, from }) => (kind === 'contact' ? [from] : [])),
  );
  return [true, false].flatMap((isFirst) =>
    made(
      part,
      `${part.id}-${isFirst ? 'a' : 'b'}`,
      `${part.name}, side ${isFirst ? 'A' : 'B'}`,
      family,
      part.pins.filter(({ node }) => first.has(node) === isFirst),
    ),
  );
}

/** Every plug that wires end in. What is bolted, or sits in a socket of a panel, is none. */
export function connectorsOf(input: ConnectorInput): readonly HarnessConnector[] {
  const { netlist, power, controllers, devices, catalogue } = input;
  const wired = new Set(netlist.wires.flatMap(({ from, to }) => [from.node, to.node]));
  const items = new Map([
    [ENGINE_CONTROLLER, lookUp(catalogue, 'ecu', power.ecu, 'power.ecu')] as const,
    ...controllers.map(
      ({ id, item }) => [id, lookUp(catalogue, 'ecu', item, `controllers.${id}.item`)] as const,
    ),
  ]);
  const families = new Map(
    devices.map(({ id, part }) => {
      const family =
        part.kind === 'item'
          ? lookUp(catalogue, 'device', part.item, `devices.${id}`).plugFamily
          : usualFamilies[part.kind];
      return [id, family] as const;
    }),
  );
  const made = (
    part: NetPart,
    id: string,
    name: string,
    family: string,
    pins: NetPart['pins'],
  ): HarnessConnector[] => {
    const cavities = pins.map(({ pin, node }) => ({ pin, node }));
    const used = cavities.flatMap(({ pin, node }) => (wired.has(node) ? [pin] : []));
    return used.length === 0
      ? []
      : [{ id, name, partId: part.id, placementId: part.placementId, family, cavities, used }];
  };
  return netlist.parts.flatMap((part) => {
    const family = families.get(part.id) ?? '';
    // Studs through a wall take lugs, not plugs.
    if (part.role === 'connector') {
      return family === 'ring terminal' ? [] : halvesOf(part, family, made);
    }
    const pins = part.pins.filter(({ joint }) => joint === 'plug');
    if (pins.length === 0 || noPlug.has(part.sort) || ownEnds.has(part.id)) return [];
    const item = items.get(part.id);
    if (!item) return made(part, part.id, part.name, family, pins);
    const plugOf = new Map(item.pins.map(({ id, plug }) => [id, plug]));
    const plugs = [...new Set(pins.map(({ pin }) => plugOf.get(pin) ?? ''))];
    return plugs.flatMap((plug) =>
      made(
        part,
        plugs.length === 1 ? part.id : `${part.id}-${plug}`,
        plugs.length === 1 ? part.name : `${part.name}, plug ${plug}`,
        'header',
        pins.filter(({ pin }) => (plugOf.get(pin) ?? '') === plug),
      ),
    );
  });
}
