import type { WireDecision } from '../../model/index.ts';
import type { DerivedWire, WireEnd } from './derivedWire.ts';
import { type NetPart, type Netlist, nodeOf } from './netlist.ts';

/** A splice takes any wire of a loom. */
const anySplice = { areaMin: 0, areaMax: 30e-6, joint: 'splice' as const };

/** The splice beside a pin that would have to take several wires. */
export const spliceId = (node: string): string => `splice ${node}`;
/** The node of that splice. */
export const spliceNode = (node: string): string => nodeOf(spliceId(node), 'splice');

/** Where several wires may end without a splice: bolted, or in a socket of a panel. */
const takesSeveral = (end: WireEnd): boolean => end.joint === 'lug' || end.joint === 'holder';

/**
 * A netlist in which no contact of a plug takes more than one wire: what would, ends in a splice
 * beside it, from which one wire goes on.
 */
export function withSplices(
  netlist: Netlist,
  decisions: ReadonlyMap<string, WireDecision>,
): Netlist {
  const ends = new Map<string, number>();
  for (const wire of netlist.wires) {
    for (const end of [wire.from, wire.to]) {
      if (!takesSeveral(end)) ends.set(end.node, (ends.get(end.node) ?? 0) + 1);
    }
  }
  const crowded = new Set([...ends].flatMap(([node, count]) => (count > 1 ? [node] : [])));
  if (crowded.size === 0) return netlist;
  const splices = new Map<string, NetPart>();
  const stubs = new Map<string, DerivedWire>();
  const byNode = new Map(
    netlist.parts.flatMap((part) => part.pins.map((pin) => [pin.node, { part, pin }] as const)),
  );
  const moved = (end: WireEnd, wire: DerivedWire, atFrom: boolean): WireEnd => {
    const at = byNode.get(end.node);
    if (!crowded.has(end.node) || !at) return end;
    const id = spliceId(end.node);
    const name = `Splice of ${at.part.name} ${at.pin.pin}`;
    const terminal = { of: 'part', name, pin: '' } as const;
    const own: WireEnd = {
      ...anySplice,
      node: spliceNode(end.node),
      terminal,
      placementId: end.placementId,
    };
    if (!splices.has(id)) {
      splices.set(id, {
        id,
        name,
        sort: 'splice',
        role: undefined,
        placementId: end.placementId,
        pins: [
          {
            node: own.node,
            pin: 'splice',
            name: 'splice',
            use: 'joint',
            terminal,
            ...anySplice,
            asks: undefined,
          },
        ],
        inside: [],
        outputs: [],
        inrush: { factor: 1, time: 1e-3 },
        fuse: undefined,
        fuseStyle: undefined,
        loadedTogether: at.part.loadedTogether,
        bundledAt: at.part.bundledAt,
      });
      const stubId = `${at.part.id}~${at.pin.pin}~splice`;
      stubs.set(id, {
        id: stubId,
        name: `${at.part.name} ${at.pin.pin}, to its splice`,
        role: wire.role,
        partId: at.part.id,
        from: atFrom ? end : own,
        to: atFrom ? own : end,
        decision: decisions.get(stubId),
      });
    }
    return own;
  };
  const wires = netlist.wires.map((wire) => {
    const from = moved(wire.from, wire, true);
    const to = moved(wire.to, wire, false);
    return from === wire.from && to === wire.to ? wire : { ...wire, from, to };
  });
  const all = [...wires, ...stubs.values()];
  return { ...netlist, parts: [...netlist.parts, ...splices.values()], wires: all, direct: all };
}
