import type { NetPart, Netlist } from '../netlist/netlist.ts';
import { liveLoads } from '../network/liveLoads.ts';

/** How a part fails. */
export type FailureKind = 'fuse out' | 'ground open' | 'relay does not pull' | 'controller dead';

const failsAs: Partial<Record<NetPart['sort'], FailureKind>> = {
  fuse: 'fuse out',
  ground: 'ground open',
  relay: 'relay does not pull',
  controller: 'controller dead',
};

/** One part that fails, and what no longer gets its current then. */
export interface SingleFailure {
  readonly partId: string;
  readonly name: string;
  readonly kind: FailureKind;
  /** parts that stop, in the order of the netlist; relays that drop are among them */
  readonly stops: readonly { readonly partId: string; readonly name: string }[];
}

/** Parts with a load that has a supply and a way back. */
const aliveIn = (netlist: Netlist): ReadonlySet<string> =>
  new Set(liveLoads(netlist).map(({ partId }) => partId));

const isRelay = ({ sort }: NetPart): boolean => sort === 'relay';

/**
 * What is still alive without some parts. A relay whose coil is no longer fed drops, and takes what
 * hangs on it along, until nothing more changes.
 */
function aliveWithout(
  netlist: Netlist,
  gone: string,
  before: ReadonlySet<string>,
): ReadonlySet<string> {
  const out = new Set([gone]);
  for (;;) {
    const alive = aliveIn({ ...netlist, parts: netlist.parts.filter(({ id }) => !out.has(id)) });
    const dropped = netlist.parts.filter(
      (part) => isRelay(part) && !out.has(part.id) && before.has(part.id) && !alive.has(part.id),
    );
    if (dropped.length === 0) return alive;
    for (const { id } of dropped) out.add(id);
  }
}

/**
 * What each single failure stops: every fuse out, ground open, relay that does not pull, controller
 * that is dead, one at a time, with everything on that can be.
 */
export function singleFailures(netlist: Netlist): readonly SingleFailure[] {
  const before = aliveIn(netlist);
  return netlist.parts.flatMap((part): SingleFailure[] => {
    const kind = failsAs[part.sort];
    if (!kind) return [];
    const after = aliveWithout(netlist, part.id, before);
    return [
      {
        partId: part.id,
        name: part.name,
        kind,
        stops: netlist.parts
          .filter(({ id }) => id !== part.id && before.has(id) && !after.has(id))
          .map(({ id, name }) => ({ partId: id, name })),
      },
    ];
  });
}
