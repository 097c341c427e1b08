import { addTo } from '../../numerics/index.ts';
import type { NetPart } from '../netlist/netlist.ts';
import type { SizedWire } from '../power/sizeWires.ts';
import type { ElectricCase } from './electricCases.ts';
import type { ElectricDesign } from './electricStage.ts';
import { contactsOf } from '../power/wireContacts.ts';

/** One thing on the way of a pin: what it is, the volts there, and the wire that leads on to it. */
export interface StripStep {
  readonly sort: NetPart['sort'];
  readonly partId: string;
  readonly name: string;
  readonly pin: string;
  /** V above the battery’s negative; undefined where the case has no solution */
  readonly volts: number | undefined;
  /** the wire from the step before; undefined where it is one part */
  readonly wire:
    | {
        readonly id: string;
        readonly size: string;
        readonly length: number;
        readonly current: number;
        /** V lost along the wire with its contacts */
        readonly drop: number;
      }
    | undefined;
}

/** The way of one pin of a device, from where it comes or to where it goes. */
export interface StripLine {
  readonly pin: string;
  readonly name: string;
  readonly steps: readonly StripStep[];
}

interface Way {
  readonly to: string;
  readonly wire?: SizedWire;
}

/** Which way one can go from a node: along wires, through fuses and contacts, not through loads. */
function waysOf({ netlist, wires }: ElectricDesign): ReadonlyMap<string, Way[]> {
  const ways = new Map<string, Way[]>();
  const both = (a: string, b: string, wire?: SizedWire): void => {
    const own = wire ? { wire } : {};
    addTo(ways, a, { to: b, ...own });
    addTo(ways, b, { to: a, ...own });
  };
  for (const sized of wires) both(sized.wire.from.node, sized.wire.to.node, sized);
  for (const part of netlist.parts) {
    const [a, b] = part.pins;
    if (part.sort === 'fuse' && a && b) both(a.node, b.node);
    for (const element of part.inside) {
      if (element.kind === 'contact' && part.sort !== 'controller') both(element.from, element.to);
    }
  }
  return ways;
}

/** The shortest way from a node to one where it ends. */
function pathTo(
  start: string,
  ways: ReadonlyMap<string, Way[]>,
  isEnd: (node: string) => boolean,
): readonly (Way & { readonly from: string })[] {
  const came = new Map<string, Way & { readonly from: string }>();
  const seen = new Set([start]);
  const open = [start];
  for (let node = open.shift(); node !== undefined; node = open.shift()) {
    if (node !== start && isEnd(node)) {
      const path: (Way & { readonly from: string })[] = [];
      for (let at = node; at !== start;) {
        const step = came.get(at);
        if (!step) break;
        path.unshift(step);
        at = step.from;
      }
      return path;
    }
    for (const way of ways.get(node) ?? []) {
      if (seen.has(way.to)) continue;
      seen.add(way.to);
      came.set(way.to, { ...way, from: node });
      open.push(way.to);
    }
  }
  return [];
}

/**
 * A device from the end backwards: each of its pins with everything between it and its source, its
 * ground or its controller, with the volts of a case at every step.
 */
export function deviceStrip(
  design: ElectricDesign,
  partId: string,
  inCase: ElectricCase,
): readonly StripLine[] {
  const { netlist } = design;
  const part = netlist.parts.find(({ id }) => id === partId);
  if (!part) return [];
  const ways = waysOf(design);
  const byNode = new Map(
    netlist.parts.flatMap((each) =>
      each.pins.map((pin) => [pin.node, { part: each, pin }] as const),
    ),
  );
  const sources = new Set(netlist.sources.map(({ node }) => node));
  const solved = design.cases[inCase];
  const negative = netlist.sources[0]?.negative ?? '';
  const volts = (node: string): number | undefined =>
    solved.state === 'solved'
      ? (solved.volts.get(node) ?? 0) - (solved.volts.get(negative) ?? 0)
      : undefined;
  const amps = (id: string): number =>
    solved.state === 'solved' ? Math.abs(solved.amps.get(id) ?? 0) : 0;
  const isEnd = (node: string): boolean => {
    const at = byNode.get(node);
    return (
      sources.has(node) ||
      at?.part.sort === 'ground' ||
      (at?.part.sort === 'controller' && at.part.id !== partId)
    );
  };
  const stepAt = (node: string, wire?: SizedWire): StripStep[] => {
    const at = byNode.get(node);
    if (!at) return [];
    const { sort, id, name } = at.part;
    return [
      {
        sort,
        partId: id,
        name,
        pin: at.pin.pin,
        volts: volts(node),
        wire: wire && {
          id: wire.wire.id,
          size: wire.size.size,
          length: wire.task.length,
          current: amps(wire.wire.id),
          drop: amps(wire.wire.id) * (wire.resistance + contactsOf(wire)),
        },
      },
    ];
  };
  return part.pins.flatMap((pin) => {
    // A supply is followed to where it comes from; only what a controller feeds ends there.
    const toSource = pin.use === 'supply' ? pathTo(pin.node, ways, (n) => sources.has(n)) : [];
    const path = toSource.length > 0 ? toSource : pathTo(pin.node, ways, isEnd);
    if (path.length === 0) return [];
    const steps = [...stepAt(pin.node), ...path.flatMap(({ to, wire }) => stepAt(to, wire))];
    return [{ pin: pin.pin, name: pin.name, steps }];
  });
}
