import { memo } from '../../numerics/index.ts';
import { CHASSIS, type NetPart, type Netlist } from '../netlist/netlist.ts';
import { withGroundOpen } from '../netlist/withGroundOpen.ts';
import { type LoadAt, liveLoads } from '../network/liveLoads.ts';

/** How a part fails. */
export type FailureKind = 'fuse out' | 'ground open' | 'relay does not pull in' | 'controller dead';

const failsAs: Partial<Record<NetPart['sort'], FailureKind>> = {
  fuse: 'fuse out',
  ground: 'ground open',
  relay: 'relay does not pull in',
  controller: 'controller dead',
};

/** One part that fails, and what no longer gets its current then. */
export interface SingleFailure {
  readonly partId: string;
  readonly name: string;
  readonly kind: FailureKind;
  /** parts that lose a current, in the order of the netlist; relays that drop are among them */
  readonly stops: readonly { readonly partId: string; readonly name: string }[];
}

const keyOf = ({ partId, load }: LoadAt): string => `${partId} ${load.id}`;

/** Loads that have a supply and a way back, by a key of their own. */
const aliveIn = (netlist: Netlist): ReadonlyMap<string, LoadAt> =>
  new Map(liveLoads(netlist).map((each) => [keyOf(each), each]));

/** Whether a part no longer switches once a load of its own is dead: a coil, electronics; not a memory. */
const dropsWith = ({ sort }: NetPart, { load }: LoadAt): boolean =>
  sort === 'relay' || (sort === 'controller' && load.when !== 'always');

/**
 * What is still alive without some parts. A relay whose coil is no longer fed drops, a controller
 * without its supply switches nothing: what hangs on them goes along, until nothing more changes.
 */
function aliveWithout(
  netlist: Netlist,
  gone: string,
  before: ReadonlyMap<string, LoadAt>,
): ReadonlyMap<string, LoadAt> {
  const parts = new Map(netlist.parts.map((part) => [part.id, part]));
  const out = new Set([gone]);
  for (;;) {
    const alive = aliveIn({ ...netlist, parts: netlist.parts.filter(({ id }) => !out.has(id)) });
    const dropped = [...before].filter(([key, each]) => {
      const part = parts.get(each.partId);
      return part && !out.has(part.id) && !alive.has(key) && dropsWith(part, each);
    });
    if (dropped.length === 0) return alive;
    for (const [, { partId }] of dropped) out.add(partId);
  }
}

/** What the failure of one part stops; undefined for a part that fails in no way that is looked at. */
function singleFailure(
  netlist: Netlist,
  part: NetPart,
  before: ReadonlyMap<string, LoadAt> = aliveIn(netlist),
): SingleFailure | undefined {
  const kind = failsAs[part.sort];
  // What all grounds come together in is no joint that could open.
  if (!kind || part.id === CHASSIS) return undefined;
  const failed = kind === 'ground open' ? withGroundOpen(netlist, part) : netlist;
  const after = aliveWithout(failed, part.id, before);
  const lost = new Set(
    [...before].flatMap(([key, { partId }]) => (after.has(key) ? [] : [partId])),
  );
  return {
    partId: part.id,
    name: part.name,
    kind,
    stops: netlist.parts
      .filter(({ id }) => id !== part.id && lost.has(id))
      .map(({ id, name }) => ({ partId: id, name })),
  };
}

/** What the failure of one part of a netlist stops, asked for again and again. */
export const failureOf = memo((part: NetPart, netlist: Netlist) => singleFailure(netlist, part));

/**
 * What each single failure stops: every fuse out, ground open, relay that does not pull, controller
 * that is dead, one at a time, with everything on that can be.
 */
export function singleFailures(netlist: Netlist): readonly SingleFailure[] {
  const before = aliveIn(netlist);
  return netlist.parts.flatMap((part) => singleFailure(netlist, part, before) ?? []);
}
