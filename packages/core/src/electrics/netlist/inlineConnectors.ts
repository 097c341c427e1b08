import type { Device, WireDecision } from '../../model/index.ts';
import type { DerivedWire } from './derivedWire.ts';
import type { NetPart, Netlist } from './netlist.ts';
import { endAt } from './partOf.ts';
import { spliceNode } from './splices.ts';

/** What of a device says which wires lead through it. */
type Ways = Pick<Device, 'id' | 'ways'>;

/** The name of the wire that goes on behind a way of a connector. */
export const wireBehind = (connectorId: string, pin: string): string => `${connectorId}~${pin}`;

/**
 * A netlist in which wires that are led through connectors are two, joined by a contact. The half
 * at the pin that a wire is named by, or at the splice beside it, keeps its name, the other is named by the connector's pin.
 * A way that names no wire, a wire named twice, and a pin without another side are left out.
 */
export function withInlineConnectors(
  netlist: Netlist,
  devices: readonly Ways[],
  decisions: ReadonlyMap<string, WireDecision>,
): Netlist {
  const connectors = devices.filter(({ ways }) => Object.keys(ways).length > 0);
  if (connectors.length === 0) return netlist;
  const wires = new Map(netlist.wires.map((wire) => [wire.id, wire]));
  const parts = new Map(netlist.parts.map((part) => [part.id, part]));
  for (const { id, ways } of connectors) {
    const connector = parts.get(id);
    if (!connector) continue;
    const named = new Set<string>();
    for (const [pin, { wireId, fromHere }] of Object.entries(ways)) {
      const wire = wires.get(wireId);
      if (!wire || named.has(wireId)) continue;
      const halves = halvesOf(wire, parts.get(wire.partId), connector, { pin, fromHere });
      if (!halves) continue;
      named.add(wireId);
      const { own, other, otherId } = halves;
      wires.set(wire.id, own);
      wires.set(otherId, behind(other, otherId, connector, decisions));
    }
  }
  return { ...netlist, wires: [...wires.values()] };
}

/**
 * A wire as the two that a way of a connector makes of it, and the name of the one that is new;
 * undefined for a pin without another side. `part` is the one that the wire is named by.
 */
export function halvesOf(
  wire: DerivedWire,
  part: NetPart | undefined,
  connector: NetPart,
  { pin, fromHere }: { readonly pin: string; readonly fromHere: boolean },
) {
  const sides = sidesOf(connector, pin);
  if (!sides) return undefined;
  const [here, there] = fromHere ? sides : [sides[1], sides[0]];
  const isNamedAtFrom = part?.pins.some(({ node }) =>
    [node, spliceNode(node)].includes(wire.from.node),
  );
  const first = { ...wire, to: endAt({ part: connector, pin: here }) };
  const second = { ...wire, from: endAt({ part: connector, pin: there }) };
  const [own, other] = isNamedAtFrom ? [first, second] : [second, first];
  return { own, other, otherId: wireBehind(connector.id, isNamedAtFrom ? there.pin : here.pin) };
}

const behind = (
  wire: DerivedWire,
  id: string,
  connector: NetPart,
  decisions: ReadonlyMap<string, WireDecision>,
): DerivedWire => ({
  ...wire,
  id,
  name: `${wire.name}, beyond ${connector.name.toLowerCase()}`,
  decision: decisions.get(id),
});

/** The pins on both sides of a way, the one that names it first. */
function sidesOf(connector: NetPart, pin: string) {
  const here = connector.pins.find((each) => each.pin === pin);
  const contact =
    here && connector.inside.find(({ kind, from }) => kind === 'contact' && from === here.node);
  const there = contact && connector.pins.find(({ node }) => node === contact.to);
  return here && there ? ([here, there] as const) : undefined;
}
