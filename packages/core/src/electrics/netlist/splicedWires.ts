import { keptByValue } from '../../numerics/index.ts';
import type { Netlist } from './netlist.ts';

/** A netlist that knows which of its wires have a piece spliced into them. */
export const withSplicedWires = keptByValue(
  (netlist: Netlist, spliced: readonly string[]): Netlist => {
    if (spliced.length === 0) return netlist;
    const ids = new Set(spliced);
    const wires = netlist.wires.map((wire) =>
      ids.has(wire.id) ? { ...wire, isSpliced: true } : wire,
    );
    return { ...netlist, wires };
  },
);
