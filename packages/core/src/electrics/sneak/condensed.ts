import type { InnerContact, InnerLoad, NetPart, Netlist } from '../netlist/netlist.ts';
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

/** The netlist condensed. */
export function condensed(netlist: Netlist): Condensed {
  const regions = regionsOf(netlist);
  const [battery] = netlist.sources.filter(({ found }) => !found);
  const at = ({ from, to }: { readonly from: string; readonly to: string }) => ({
    from: regions.of(from),
    to: regions.of(to),
  });
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
    branches: netlist.parts.flatMap((part) =>
      part.inside.flatMap((inner): Branch[] => {
        const { id } = inner;
        const ends = at(inner);
        if (ends.from === ends.to) return [];
        if (inner.kind === 'load') {
          return inner.current > 0 ? [{ kind: 'load', id, part, ...ends, load: inner }] : [];
        }
        return inner.kind === 'contact' && canOpen(part, inner)
          ? [{ kind: 'gate', id, part, ...ends, contact: inner }]
          : [];
      }),
    ),
  };
}
