import type { DerivedWire } from '../netlist/derivedWire.ts';
import type { Bus } from '../../model/index.ts';
import { addTo } from '../../numerics/index.ts';
import { type Netlist, nodeOf } from '../netlist/netlist.ts';
import type { BusRate } from '../slices/buses.ts';

/** A resistance across a bus, and the node at which it hangs. */
export interface BusTerminator {
  readonly partId: string;
  readonly node: string;
  readonly ohm: number;
}

/** A member of a bus and how far it stands beside the way between the terminators, m. */
export interface BusMember {
  readonly partId: string;
  readonly name: string;
  readonly stub: number;
}

/** A bus: who is on it, what terminates it, and whether that is at its two ends. */
export interface BusChain {
  /** the part whose pin names it */
  readonly id: string;
  /** that pin */
  readonly pin: string;
  /** what the build says of it; undefined where nothing */
  readonly busId: string | undefined;
  readonly name: string;
  readonly rate: BusRate;
  /** the longest way beside it at that rate, m */
  readonly longestStub: number;
  readonly members: readonly BusMember[];
  readonly terminators: readonly BusTerminator[];
  /** parts at the two ends that are furthest apart, along the wire */
  readonly ends: readonly string[];
  /** whether there are two terminators, and each stands at an end */
  readonly terminated: boolean;
}

interface Edge {
  readonly to: string;
  readonly length: number;
}

/** Lengths m of the bus wires between nodes; a connector that they lead through adds none. */
function edgesOf(
  netlist: Netlist,
  lengthOf: (wire: DerivedWire) => number,
): ReadonlyMap<string, Edge[]> {
  const edges = new Map<string, Edge[]>();
  const join = (a: string, b: string, length: number): void => {
    addTo(edges, a, { to: b, length });
    addTo(edges, b, { to: a, length });
  };
  for (const wire of netlist.wires) {
    if (wire.role === 'bus') join(wire.from.node, wire.to.node, lengthOf(wire));
  }
  for (const { role, inside } of netlist.parts) {
    if (role !== 'connector') continue;
    for (const { from, to } of inside) if (edges.has(from) && edges.has(to)) join(from, to, 0);
  }
  return edges;
}

/** How far every node of a bus is from one of them, and which node comes before it. */
function distances(start: string, edges: ReadonlyMap<string, Edge[]>) {
  const far = new Map([[start, 0]]);
  const before = new Map<string, string>();
  const open = [start];
  for (let node = open.shift(); node !== undefined; node = open.shift()) {
    for (const { to, length } of edges.get(node) ?? []) {
      if (far.has(to)) continue;
      far.set(to, (far.get(node) ?? 0) + length);
      before.set(to, node);
      open.push(to);
    }
  }
  return { far, before };
}

const furthest = (far: ReadonlyMap<string, number>): string =>
  [...far].reduce((a, b) => (b[1] > a[1] ? b : a))[0];

/** Nodes on the way between two, both included. */
function wayBetween(from: string, to: string, edges: ReadonlyMap<string, Edge[]>): string[] {
  const { before } = distances(from, edges);
  const way = [to];
  for (let at = before.get(to); at !== undefined; at = before.get(at)) way.push(at);
  return way;
}

/** Longest way beside a bus by its rate, m: estimates of the trade. */
export const longestStubs: Readonly<Record<BusRate, number>> = {
  '1 Mbit/s': 0.3,
  '500 kbit/s': 0.6,
  '250 kbit/s': 1.2,
};

/** A terminator this near to the end of a bus stands at it, m. */
const AT_END = 0.3;

/**
 * The buses of a netlist, by their high side. `ohmOf` says which parts are resistances across one,
 * `known` what the build says of them; a bus of which it says nothing runs at 1 Mbit/s.
 */
export function busChains(input: {
  readonly netlist: Netlist;
  readonly lengthOf: (wire: DerivedWire) => number;
  readonly ohmOf: (partId: string) => number | undefined;
  readonly known: readonly Bus[];
}): BusChain[] {
  const { netlist, lengthOf, ohmOf, known } = input;
  const edges = edgesOf(netlist, lengthOf);
  const partAt = new Map(
    netlist.parts.flatMap((part) => part.pins.map((pin) => [pin.node, part] as const)),
  );
  const done = new Set<string>();
  const chains: BusChain[] = [];
  for (const part of netlist.parts) {
    for (const pin of part.pins) {
      if (pin.use !== 'bus-high' || done.has(pin.node) || !edges.has(pin.node)) continue;
      const { far } = distances(pin.node, edges);
      for (const node of far.keys()) done.add(node);
      const one = furthest(far);
      const other = furthest(distances(one, edges).far);
      const terminators = [...far.keys()].flatMap((node): BusTerminator[] => {
        const at = partAt.get(node);
        const ohm = at && ohmOf(at.id);
        return at && ohm !== undefined ? [{ partId: at.id, node, ohm }] : [];
      });
      const [first, second] = terminators;
      const ends = first && second ? [first.node, second.node] : [one, other];
      const spine = new Set(wayBetween(ends[0] ?? one, ends[1] ?? other, edges));
      // Stubs leave the spine: what is beside it is as far as the way back to it.
      const beside = new Map<string, number>();
      for (const node of spine) beside.set(node, 0);
      const open = [...spine];
      for (let node = open.shift(); node !== undefined; node = open.shift()) {
        for (const { to, length } of edges.get(node) ?? []) {
          if (beside.has(to)) continue;
          beside.set(to, (beside.get(node) ?? 0) + length);
          open.push(to);
        }
      }
      const longest = distances(one, edges).far.get(other) ?? 0;
      const apart = first && second ? (distances(first.node, edges).far.get(second.node) ?? 0) : 0;
      const members = [...far.keys()].flatMap((node): BusMember[] => {
        const at = partAt.get(node);
        if (!at || at.sort === 'splice' || at.role === 'connector' || ohmOf(at.id) !== undefined)
          return [];
        return [{ partId: at.id, name: at.name, stub: beside.get(node) ?? 0 }];
      });
      const said = known.find(({ partId, pin: at }) => far.has(nodeOf(partId, at)));
      const rate = said?.rate ?? '1 Mbit/s';
      chains.push({
        id: part.id,
        pin: pin.pin,
        busId: said?.id,
        name: said?.name ?? `Bus of ${part.name}`,
        rate,
        longestStub: longestStubs[rate],
        members,
        terminators,
        ends: [one, other].flatMap((node) => partAt.get(node)?.id ?? []),
        terminated: terminators.length === 2 && apart >= longest - 2 * AT_END,
      });
    }
  }
  return chains;
}
