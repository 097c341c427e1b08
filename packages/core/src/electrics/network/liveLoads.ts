import { addTo } from '../../numerics/index.ts';
import { Joined } from '../netlist/joined.ts';
import type { InnerLoad, Netlist } from '../netlist/netlist.ts';
import { type ElectricCase, isOn } from './electricCases.ts';

/** A load with the part that it is in. */
export interface LoadAt {
  readonly partId: string;
  readonly load: InnerLoad;
}

/**
 * The loads that have both a supply and a way back, with the relays' coils on where what hangs on
 * their relay is.
 */
export function liveLoads(netlist: Netlist): readonly LoadAt[] {
  const joined = new Joined();
  for (const { from, to } of netlist.wires) joined.join(from.node, to.node);
  const inside = netlist.parts.flatMap((part) => part.inside);
  for (const element of inside) if (element.kind !== 'load') joined.join(element.from, element.to);
  for (const part of netlist.parts) {
    const [a, b] = part.pins;
    if (part.sort === 'fuse' && a && b) joined.join(a.node, b.node);
  }
  for (const source of netlist.sources) joined.join(source.node, netlist.ground);
  const root = joined.rootOf(netlist.ground);
  return netlist.parts.flatMap((part) =>
    part.inside.flatMap((element) =>
      element.kind === 'load' &&
      joined.rootOf(element.from) === root &&
      joined.rootOf(element.to) === root
        ? [{ partId: part.id, load: element }]
        : [],
    ),
  );
}

/** The loads that hang on a relay's contact, directly or through what comes after it. */
function behindRelays(netlist: Netlist, loads: readonly LoadAt[]): ReadonlyMap<string, LoadAt[]> {
  const downstream = new Map<string, string[]>();
  const lead = (from: string, to: string): void => {
    addTo(downstream, from, to);
  };
  for (const wire of netlist.wires) {
    if (wire.role !== 'ground') lead(wire.from.node, wire.to.node);
  }
  for (const part of netlist.parts) {
    const [a, b] = part.pins;
    if (part.sort === 'fuse' && a && b) lead(a.node, b.node);
    for (const element of part.inside) {
      if (element.kind === 'contact' && part.sort !== 'controller') lead(element.from, element.to);
    }
  }
  const byNode = new Map<string, LoadAt[]>();
  for (const each of loads) {
    addTo(byNode, each.load.from, each);
  }
  const behind = new Map<string, LoadAt[]>();
  for (const relay of netlist.parts.filter(({ sort }) => sort === 'relay')) {
    const seen = new Set<string>();
    const open = relay.inside.flatMap((e) => (e.kind === 'contact' ? [e.to] : []));
    const found: LoadAt[] = [];
    while (open.length > 0) {
      const node = open.pop();
      if (node === undefined || seen.has(node)) continue;
      seen.add(node);
      found.push(...(byNode.get(node) ?? []));
      open.push(...(downstream.get(node) ?? []));
    }
    behind.set(relay.id, found);
  }
  return behind;
}

/** Which loads are on in each case. */
export function loadsOn(
  netlist: Netlist,
  loads: readonly LoadAt[],
): (each: LoadAt, inCase: ElectricCase) => boolean {
  const behind = behindRelays(netlist, loads);
  const onIn = (each: LoadAt, inCase: ElectricCase, depth: number): boolean => {
    const { when } = each.load;
    if (when !== 'with its relay') return isOn(when, inCase);
    return (
      depth < 4 && (behind.get(each.partId) ?? []).some((other) => onIn(other, inCase, depth + 1))
    );
  };
  return (each, inCase) => onIn(each, inCase, 0);
}
