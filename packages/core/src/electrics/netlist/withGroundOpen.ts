import type { NetPart, Netlist } from './netlist.ts';

/** The netlist with a ground that no longer leads on: its joint is open, and its straps are. */
export function withGroundOpen(netlist: Netlist, ground: NetPart): Netlist {
  const own = new Set(ground.pins.map(({ node }) => node));
  const grounds = new Set(
    netlist.parts.flatMap(({ sort, pins }) =>
      sort === 'ground' || sort === 'battery' ? pins.map(({ node }) => node) : [],
    ),
  );
  const isOwn = (from: string, to: string): boolean => own.has(from) || own.has(to);
  return {
    ...netlist,
    wires: netlist.wires.filter(
      ({ from, to }) =>
        !(isOwn(from.node, to.node) && grounds.has(from.node) && grounds.has(to.node)),
    ),
    parts: netlist.parts.map((part) => ({
      ...part,
      inside: part.inside.filter(({ kind, from, to }) => kind !== 'contact' || !isOwn(from, to)),
    })),
  };
}
