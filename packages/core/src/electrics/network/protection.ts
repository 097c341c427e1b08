import { addTo } from '../../numerics/index.ts';
import type { Netlist } from '../netlist/netlist.ts';
import type { LoadAt } from './liveLoads.ts';

/** What protects a wire: a fuse of the build, a wire found with its own, or nothing. */
export type Protection =
  | { readonly by: 'fuse'; readonly partId: string; readonly sourceId: string }
  | { readonly by: 'source'; readonly sourceId: string }
  | { readonly by: 'nothing'; readonly sourceId: string }
  /** a source or an output inside a controller limits the current by itself, A */
  | { readonly by: 'limited'; readonly current: number };

/** What comes out of a controller’s references and inputs at most, A. */
const LIMITED = 1;

interface Step {
  readonly to: string;
  readonly fuse?: string;
  readonly limit?: number;
}

/** Which way current can come to a node: along wires, contacts and fuses, not through loads. */
function waysOf(netlist: Netlist): ReadonlyMap<string, Step[]> {
  const ways = new Map<string, Step[]>();
  const both = (a: string, b: string, step: Omit<Step, 'to'> = {}): void => {
    addTo(ways, a, { to: b, ...step });
    addTo(ways, b, { to: a, ...step });
  };
  for (const { from, to, role } of netlist.wires) {
    if (role !== 'ground') both(from.node, to.node);
  }
  for (const part of netlist.parts) {
    const [a, b] = part.pins;
    if (part.sort === 'fuse' && a && b) both(a.node, b.node, { fuse: part.id });
    for (const element of part.inside) {
      if (element.kind !== 'contact' || element.leads !== 'on') continue;
      const { limit } = element;
      both(element.from, element.to, limit === undefined ? {} : { limit });
    }
  }
  return ways;
}

const sourceOf = (protection: Protection): string =>
  'sourceId' in protection ? protection.sourceId : '';

/** What protects each wire, from the battery and the wires found on the vehicle outwards. */
export function protections(
  netlist: Netlist,
  loads: readonly LoadAt[],
): ReadonlyMap<string, Protection> {
  const ways = waysOf(netlist);
  const at = new Map<string, Protection>();
  const spread = (start: string, first: Protection): void => {
    if (at.has(start)) return;
    at.set(start, first);
    const open = [start];
    for (let node = open.shift(); node !== undefined; node = open.shift()) {
      const here = at.get(node);
      if (!here) continue;
      for (const { to, fuse, limit } of ways.get(node) ?? []) {
        if (at.has(to)) continue;
        if (limit !== undefined) {
          at.set(to, { by: 'limited', current: limit });
          open.push(to);
          continue;
        }
        at.set(
          to,
          fuse === undefined ? here : { by: 'fuse', partId: fuse, sourceId: sourceOf(here) },
        );
        open.push(to);
      }
    }
  };
  for (const { id, node, found } of netlist.sources) {
    spread(node, found ? { by: 'source', sourceId: id } : { by: 'nothing', sourceId: id });
  }
  // Behind a load what protects its supply protects the way back.
  for (const { load } of loads) {
    const before = at.get(load.from);
    if (before) spread(load.to, before);
  }
  const fusesOf = new Map(
    netlist.parts.flatMap((part) =>
      part.sort === 'fuse' ? part.pins.map((pin) => [pin.node, part.id] as const) : [],
    ),
  );
  return new Map(
    netlist.wires.map((wire): readonly [string, Protection] => {
      const before = at.get(wire.from.node) ?? at.get(wire.to.node);
      if (!before) return [wire.id, { by: 'limited', current: LIMITED }];
      if (before.by !== 'nothing') return [wire.id, before];
      // Straight from the battery: the fuse at its other end stands for it.
      const fuse = fusesOf.get(wire.to.node) ?? fusesOf.get(wire.from.node);
      return [
        wire.id,
        fuse === undefined ? before : { by: 'fuse', partId: fuse, sourceId: before.sourceId },
      ];
    }),
  );
}
