import { addTo } from '../../numerics/index.ts';
import type { InnerLoad, NetPart, Netlist } from '../netlist/netlist.ts';

/** What of a vehicle stands under voltage while its key is off. */
export interface LiveWithKeyOff {
  /** nodes that nothing parts from the battery */
  readonly nodes: ReadonlySet<string>;
  /** what takes current there all the time */
  readonly drains: readonly { readonly part: NetPart; readonly load: InnerLoad }[];
}

/** Whether a part parts its contact while the vehicle stands: an isolator is left on. */
const parts = ({ sort, role }: NetPart): boolean =>
  sort === 'relay' || sort === 'controller' || (sort === 'switch' && role !== 'isolator');

/**
 * What stands under voltage with the key off: all that the battery reaches over wires and fuses, past
 * no relay, switch or controller. The isolator is taken as left on.
 */
export function liveWithKeyOff(netlist: Netlist): LiveWithKeyOff {
  const ways = new Map<string, string[]>();
  const join = (a: string, b: string): void => {
    addTo(ways, a, b);
    addTo(ways, b, a);
  };
  for (const { from, to, role } of netlist.wires) if (role !== 'ground') join(from.node, to.node);
  for (const part of netlist.parts) {
    const [a, b] = part.pins;
    if (part.sort === 'fuse' && a && b) join(a.node, b.node);
    if (parts(part)) continue;
    for (const element of part.inside) {
      if (element.kind === 'contact' && element.leads === 'on') join(element.from, element.to);
    }
  }
  const open = netlist.sources.filter(({ found }) => !found).map(({ node }) => node);
  const nodes = new Set(open);
  for (let node = open.pop(); node !== undefined; node = open.pop()) {
    for (const next of ways.get(node) ?? []) {
      if (nodes.has(next)) continue;
      nodes.add(next);
      open.push(next);
    }
  }
  return {
    nodes,
    drains: netlist.parts.flatMap((part) =>
      part.inside.flatMap((load) =>
        load.kind === 'load' && load.when === 'always' && nodes.has(load.from)
          ? [{ part, load }]
          : [],
      ),
    ),
  };
}
