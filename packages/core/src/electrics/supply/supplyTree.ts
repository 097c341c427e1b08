import { addTo } from '../../numerics/index.ts';
import type { SizedWire } from '../power/sizeWires.ts';
import { contactsOf } from '../power/wireContacts.ts';
import type { WireRole } from '../netlist/derivedWire.ts';
import type { NetPart, Netlist } from '../netlist/netlist.ts';
import type { ElectricCase } from '../network/electricCases.ts';
import type { ElectricDesign } from '../network/electricStage.ts';
import { liveWithKeyOff } from './liveWithKeyOff.ts';

/** A state in which the tree is drawn: the solved cases, and the vehicle left standing. */
export type SupplyState = ElectricCase | 'keyOff';

/** The wire that leads to a branch. */
export interface SupplyWire {
  readonly id: string;
  readonly size: string;
  readonly area: number;
  readonly length: number;
  /** A through it; undefined where the state is not solved */
  readonly current: number | undefined;
  /** V lost along it with its contacts */
  readonly drop: number | undefined;
}

/** A part on the way from a source to what takes current, and what hangs on it. */
export interface SupplyBranch {
  readonly node: string;
  readonly partId: string;
  readonly name: string;
  readonly pin: string;
  readonly sort: NetPart['sort'];
  /** V above the battery’s negative */
  readonly volts: number | undefined;
  /** the wire from the part before; undefined for a source */
  readonly wire: SupplyWire | undefined;
  /** A rating, where it is a fuse */
  readonly rating: number | undefined;
  /** A that it takes itself; 0 where it only leads on or is off */
  readonly takes: number | undefined;
  /** with the key off: whether anything parts it from the battery */
  readonly live: boolean | undefined;
  readonly branches: readonly SupplyBranch[];
}

interface Ways {
  readonly wires: ReadonlyMap<string, { readonly to: string; readonly wire: SizedWire }[]>;
  /** through the inside of a part, the way a supply is led on */
  readonly inside: ReadonlyMap<string, string[]>;
}

/** Wires over which something may be fed. */
const feeding: ReadonlySet<WireRole> = new Set(['supply', 'triggered', 'signal']);

function waysOf({ netlist, wires }: Pick<ElectricDesign, 'netlist' | 'wires'>): Ways {
  const outside = new Map<string, { to: string; wire: SizedWire }[]>();
  const lead = (from: string, to: string, wire: SizedWire): void => {
    addTo(outside, from, { to, wire });
  };
  for (const wire of wires) {
    const { from, to, role } = wire.wire;
    if (!feeding.has(role)) continue;
    lead(from.node, to.node, wire);
    lead(to.node, from.node, wire);
  }
  const inside = new Map<string, string[]>();
  const join = (from: string, to: string): void => {
    addTo(inside, from, to);
  };
  for (const part of netlist.parts) {
    const [a, b] = part.pins;
    if (part.sort === 'fuse' && a && b) {
      join(a.node, b.node);
      join(b.node, a.node);
    }
    for (const element of part.inside) {
      if (element.kind !== 'contact' || element.leads !== 'on') continue;
      join(element.from, element.to);
      // A contact of a switch leads on either way; an output of a controller only out.
      if (part.sort !== 'controller') join(element.to, element.from);
    }
  }
  return { wires: outside, inside };
}

/** Pins at which nothing is fed and no current goes back: where a way of supply would end. */
const returns = (netlist: Netlist): ReadonlySet<string> =>
  new Set(
    netlist.parts.flatMap(({ sort, pins }) =>
      pins
        .filter(({ use }) => sort === 'ground' || use === 'ground' || use === 'case')
        .map(({ node }) => node),
    ),
  );

/**
 * The tree of supplies: from the battery, and from each wire found on the vehicle, over cables,
 * fuses, relays and controllers to what takes current, with volts and amps of one state. Every pin
 * stands in it once, on the way that reaches it over the fewest parts.
 */
export function supplyTree(design: ElectricDesign, state: SupplyState): readonly SupplyBranch[] {
  const { netlist } = design;
  const ways = waysOf(design);
  const ends = returns(netlist);
  const at = new Map(
    netlist.parts.flatMap((part) => part.pins.map((pin) => [pin.node, { part, pin }] as const)),
  );
  const ratings = new Map(design.fuses.map(({ partId, judged }) => [partId, judged.fuse.rating]));
  const solved = state === 'keyOff' ? undefined : design.cases[state];
  const live = state === 'keyOff' ? liveWithKeyOff(netlist) : undefined;
  const negative = netlist.sources[0]?.negative ?? '';
  const volts = (node: string): number | undefined =>
    solved?.state === 'solved'
      ? (solved.volts.get(node) ?? 0) - (solved.volts.get(negative) ?? 0)
      : undefined;
  const amps = (id: string): number | undefined =>
    solved?.state === 'solved' ? Math.abs(solved.amps.get(id) ?? 0) : undefined;
  const takenAt = (part: NetPart, node: string): number | undefined => {
    const loads = part.inside.flatMap((e) => (e.kind === 'load' && e.from === node ? [e] : []));
    if (live) {
      const always = live.drains.filter(({ load }) => load.from === node);
      return always.reduce((sum, { load }) => sum + load.current * load.duty, 0);
    }
    if (solved?.state !== 'solved') return undefined;
    return loads.reduce((sum, { id }) => sum + (amps(id) ?? 0), 0);
  };

  // Which node is reached from which, over the fewest parts: all sources at once.
  const children = new Map<string, { to: string; wire: SizedWire }[]>();
  const leadsTo = new Map<string, string[]>();
  const seen = new Set(netlist.sources.map(({ node }) => node));
  const open = [...seen];
  for (let node = open.shift(); node !== undefined; node = open.shift()) {
    for (const to of ways.inside.get(node) ?? []) {
      if (seen.has(to)) continue;
      seen.add(to);
      addTo(leadsTo, node, to);
      open.push(to);
    }
    for (const { to, wire } of ways.wires.get(node) ?? []) {
      if (seen.has(to) || ends.has(to)) continue;
      seen.add(to);
      addTo(children, node, { to, wire });
      open.push(to);
    }
  }

  /** What hangs on a node, and on those that its part leads it on to. */
  const hanging = (node: string): SupplyBranch[] => [
    ...(children.get(node) ?? []).map(({ to, wire }) => branchAt(to, wire)),
    ...(leadsTo.get(node) ?? []).flatMap(hanging),
  ];
  const branchAt = (node: string, wire?: SizedWire): SupplyBranch => {
    const here = at.get(node);
    const current = wire && amps(wire.wire.id);
    return {
      node,
      partId: here?.part.id ?? '',
      name: here?.part.name ?? node,
      pin: here?.pin.pin ?? '',
      sort: here?.part.sort ?? 'device',
      volts: volts(node),
      wire: wire && {
        id: wire.wire.id,
        size: wire.size.size,
        area: wire.size.area,
        length: wire.task.length,
        current,
        drop: current === undefined ? undefined : current * (wire.resistance + contactsOf(wire)),
      },
      rating: here && ratings.get(here.part.id),
      takes: here && takenAt(here.part, node),
      live: live?.nodes.has(node),
      branches: hanging(node),
    };
  };
  return netlist.sources.map(({ node }) => branchAt(node));
}
