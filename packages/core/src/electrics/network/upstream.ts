import type { Netlist } from '../netlist/netlist.ts';
import { fuseResistance } from '../power/contacts.ts';
import { contactsOf } from '../power/wireContacts.ts';
import type { SizedWire } from '../power/sizeWires.ts';

interface Way {
  readonly to: string;
  readonly ohm: number;
}

/**
 * Ω that lie between its source and where each wire begins: what else holds the current of a short
 * circuit down, so that its fuse takes longer. A wire that no source reaches is left out.
 */
export function upstreamResistances(
  { parts, wires: drawn, sources }: Pick<Netlist, 'parts' | 'wires' | 'sources'>,
  wires: readonly SizedWire[],
  ratingOf: (fuseId: string) => number | undefined,
): ReadonlyMap<string, number> {
  const ways = new Map<string, Way[]>();
  const from = (node: string): Way[] => {
    const present = ways.get(node);
    if (present) return present;
    const made: Way[] = [];
    ways.set(node, made);
    return made;
  };
  const join = (a: string, b: string, ohm: number): void => {
    from(a).push({ to: b, ohm });
    from(b).push({ to: a, ohm });
  };
  const sized = new Map(wires.map((wire) => [wire.wire.id, wire]));
  for (const wire of drawn) {
    const known = sized.get(wire.id);
    if (!known || wire.role === 'ground') continue;
    join(wire.from.node, wire.to.node, known.resistance + contactsOf(known));
  }
  for (const part of parts) {
    const [a, b] = part.pins;
    if (part.sort === 'fuse' && a && b)
      join(a.node, b.node, fuseResistance(ratingOf(part.id) ?? 1));
    for (const element of part.inside) {
      if (element.kind !== 'contact' || element.leads !== 'on') continue;
      join(element.from, element.to, element.resistance);
    }
  }
  const reached = new Map<string, number>();
  const open: string[] = [];
  for (const { node, resistance } of sources) {
    reached.set(node, resistance);
    open.push(node);
  }
  for (let node = open.shift(); node !== undefined; node = open.shift()) {
    const here = reached.get(node) ?? 0;
    for (const { to, ohm } of ways.get(node) ?? []) {
      if (reached.has(to)) continue;
      reached.set(to, here + ohm);
      open.push(to);
    }
  }
  return new Map(
    drawn.flatMap(({ id, from: start, to }) => {
      const ends = [reached.get(start.node), reached.get(to.node)].flatMap((ohm) => ohm ?? []);
      return ends.length > 0 ? [[id, Math.min(...ends)] as const] : [];
    }),
  );
}
