import type { InnerContact, InnerLoad, NetPart, Netlist } from '../netlist/netlist.ts';
import { Joined } from '../netlist/joined.ts';
import { type Regions, canOpen, regionsOf } from '../netlist/regions.ts';

interface Between {
  readonly id: string;
  readonly part: NetPart;
  readonly from: string;
  readonly to: string;
}
/** A contact that can open, between two regions. */
export interface Gate extends Between {
  readonly kind: 'gate';
  readonly contact: InnerContact;
}
/** A load between two regions: it conducts either way. */
export interface Taker extends Between {
  readonly kind: 'load';
  readonly load: InnerLoad;
}
export type Branch = Gate | Taker;

/** A wire found on the vehicle, as what feeds a region in some positions of the key. */
export interface FoundFeed {
  readonly signalId: string | undefined;
  readonly region: string;
}

/** A netlist in which everything that always conducts is one node: what is left can open, or takes current. */
export interface Condensed {
  readonly regions: Regions;
  readonly branches: readonly Branch[];
  /** the regions at the poles of the battery */
  readonly plus: string;
  readonly minus: string;
  readonly found: readonly FoundFeed[];
  /** the regions that alternators feed while they turn, their charge lamps’ terminals among them */
  readonly generated: readonly string[];
}

const generates = ({ role }: NetPart): boolean => role === 'alternator' || role === 'stator';

/** What always joins two nodes: a wire, a whole fuse, pins joined inside. */
interface Link {
  readonly a: string;
  readonly b: string;
  readonly kind: 'wire' | 'fuse' | 'inside';
  readonly partId: string;
}

const linksOf = ({ wires, parts }: Netlist): Link[] => [
  ...wires.map(({ from, to, partId }): Link => ({
    a: from.node,
    b: to.node,
    kind: 'wire',
    partId,
  })),
  ...parts.flatMap((part): Link[] => {
    const [first, second] = part.pins;
    const fuse: Link[] =
      part.sort === 'fuse' && first && second
        ? [{ a: first.node, b: second.node, kind: 'fuse', partId: part.id }]
        : [];
    return [
      ...fuse,
      ...part.inside.flatMap((inner): Link[] =>
        inner.kind === 'contact' && !canOpen(part, inner)
          ? [{ a: inner.from, b: inner.to, kind: 'inside', partId: part.id }]
          : [],
      ),
    ];
  }),
];

/** A load or a contact that can open, between nodes. */
type Inner =
  | {
      readonly kind: 'gate';
      readonly id: string;
      readonly part: NetPart;
      readonly contact: InnerContact;
    }
  | {
      readonly kind: 'load';
      readonly id: string;
      readonly part: NetPart;
      readonly load: InnerLoad;
    };

const innersOf = ({ parts }: Netlist): Inner[] =>
  parts.flatMap((part) =>
    part.inside.flatMap((inner): Inner[] => {
      const { id } = inner;
      if (inner.kind === 'load')
        return inner.current > 0 ? [{ kind: 'load', id, part, load: inner }] : [];
      return inner.kind === 'contact' && canOpen(part, inner)
        ? [{ kind: 'gate', id, part, contact: inner }]
        : [];
    }),
  );

/** What a part that is broken does to a condensed netlist, and which regions are new by it. */
export interface BrokenCircuit {
  readonly whole: Condensed;
  readonly touched: ReadonlySet<string>;
}

/** A netlist condensed once, and again where a fuse of it is out or a ground of it open. */
export class Condensing {
  readonly whole: Condensed;
  private readonly base: Regions;
  private readonly links: ReadonlyMap<string, readonly Link[]>;
  private readonly inners: readonly Inner[];
  private readonly groundNodes: ReadonlySet<string>;

  constructor(private readonly netlist: Netlist) {
    this.base = regionsOf(netlist);
    this.inners = innersOf(netlist);
    const links = new Map<string, Link[]>();
    for (const link of linksOf(netlist)) {
      const region = this.base.of(link.a);
      const present = links.get(region);
      if (present) present.push(link);
      else links.set(region, [link]);
    }
    this.links = links;
    this.groundNodes = new Set(
      netlist.parts.flatMap(({ sort, pins }) =>
        sort === 'ground' || sort === 'battery' ? pins.map(({ node }) => node) : [],
      ),
    );
    this.whole = this.seenBy(this.base);
  }

  /** The netlist with other regions; a branch whose ends stay is the same object. */
  private seenBy(regions: Regions, before?: Condensed): Condensed {
    const { netlist } = this;
    const [battery] = netlist.sources.filter(({ found }) => !found);
    const known = new Map((before?.branches ?? []).map((branch) => [branch.id, branch]));
    return {
      regions,
      plus: regions.of(battery?.node ?? ''),
      minus: regions.of(battery?.negative ?? netlist.ground),
      found: netlist.sources
        .filter(({ found }) => found)
        .map(({ node, signalId }) => ({ signalId, region: regions.of(node) })),
      generated: netlist.parts
        .filter(generates)
        .flatMap(({ pins, outputs }) => [
          ...outputs.map(({ node }) => regions.of(node)),
          ...pins.filter(({ use }) => use === 'charge-lamp').map(({ node }) => regions.of(node)),
        ]),
      branches: this.inners.flatMap((inner): Branch[] => {
        const element = inner.kind === 'load' ? inner.load : inner.contact;
        const [from, to] = [regions.of(element.from), regions.of(element.to)];
        if (from === to) return [];
        const same = known.get(inner.id);
        return same && same.from === from && same.to === to ? [same] : [{ ...inner, from, to }];
      }),
    };
  }

  /** The netlist with a fuse out, or with a ground that no longer leads on. */
  broken(part: NetPart): BrokenCircuit {
    const own = new Set(part.pins.map(({ node }) => node));
    const isOwn = ({ a, b }: Link): boolean => own.has(a) || own.has(b);
    const isOut = (link: Link): boolean => {
      if (part.sort === 'fuse') return link.kind === 'fuse' && link.partId === part.id;
      if (!isOwn(link) || link.kind === 'fuse') return false;
      // Of a ground its strap to another is open with it; wires of loads still come together on it.
      return (
        link.kind === 'inside' || (this.groundNodes.has(link.a) && this.groundNodes.has(link.b))
      );
    };
    const split = new Set([...own].map((node) => this.base.of(node)));
    const joined = new Joined();
    const touched = new Set<string>();
    const nodes: string[] = [];
    for (const region of split) {
      for (const link of this.links.get(region) ?? []) {
        nodes.push(link.a, link.b);
        if (!isOut(link)) joined.join(link.a, link.b);
      }
    }
    for (const node of nodes) touched.add(joined.rootOf(node));
    const of = (node: string): string => {
      const region = this.base.of(node);
      return split.has(region) ? joined.rootOf(node) : region;
    };
    return { whole: this.seenBy({ of }, this.whole), touched };
  }
}

/** The netlist condensed. */
export const condensed = (netlist: Netlist): Condensed => new Condensing(netlist).whole;
