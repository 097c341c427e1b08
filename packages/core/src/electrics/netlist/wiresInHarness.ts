import { memoByValue } from '../../numerics/index.ts';
import type { DerivedWire, WireShelter } from './derivedWire.ts';
import type { Netlist } from './netlist.ts';

/** What the harness says of wires that are led through it. */
export interface WiresInHarness {
  /** wires that have a piece spliced into them */
  readonly spliced: readonly string[];
  /** what keeps wires over their whole way, by wire; none for those that are bare somewhere */
  readonly shelters: Readonly<Record<string, WireShelter>>;
}

/** A netlist that knows what the harness says of its wires. */
export const withWiresInHarness = memoByValue(
  (netlist: Netlist, { spliced, shelters }: WiresInHarness): Netlist => {
    const ids = new Set(spliced);
    const known = new Map(Object.entries(shelters));
    if (ids.size === 0 && known.size === 0) return netlist;
    const wires = netlist.wires.map((wire): DerivedWire => {
      const shelter = known.get(wire.id);
      if (shelter === undefined && !ids.has(wire.id)) return wire;
      return {
        ...wire,
        ...(ids.has(wire.id) ? { isSpliced: true } : {}),
        ...(shelter === undefined ? {} : { shelter }),
      };
    });
    return { ...netlist, wires };
  },
);
