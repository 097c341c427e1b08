import type { BoughtHarness, BoughtLeg } from '../../model/index.ts';
import type { Netlist } from './netlist.ts';

/** A netlist in which the wires of looms that are bought have the size that their leg has. */
export function withBoughtSizes(netlist: Netlist, bought: readonly BoughtHarness[]): Netlist {
  const legs = new Map<string, BoughtLeg>(
    bought.flatMap(({ placementId, legs: own }) =>
      own.flatMap((leg) =>
        leg.size === null
          ? []
          : [
              [`${placementId} ${leg.placementId}`, leg] as const,
              [`${leg.placementId} ${placementId}`, leg] as const,
            ],
      ),
    ),
  );
  if (legs.size === 0) return netlist;
  return {
    ...netlist,
    wires: netlist.wires.map((wire) => {
      const leg = legs.get(`${wire.from.placementId} ${wire.to.placementId}`);
      if (!leg || wire.decision?.size) return wire;
      const length = wire.decision?.length ?? { measured: null, typed: null };
      return { ...wire, decision: { wireId: wire.id, length, size: leg.size } };
    }),
  };
}
