import { pumpsOf } from '../circuits/circuitRun.ts';
import type { Build, FuelCircuit, PumpFeed } from '../../model/index.ts';

/** Feeds for the pumps of a circuit that have none, after the pattern of the build's first feed. */
export function feedsFor(document: Pick<Build, 'power'>, circuit: FuelCircuit): PumpFeed[] {
  const pattern = document.power.pumpFeeds[0];
  if (!pattern) return [];
  return pumpsOf(circuit).map((pump) => {
    const own = document.power.pumpFeeds.find(
      (f) => f.circuitId === circuit.id && f.elementId === pump.id,
    );
    const pumpPlacementId = circuit.nodes.find((n) => n.id === pump.from)!.placementId;
    return own
      ? { ...own, pumpPlacementId }
      : {
          ...pattern,
          id: `${pump.id}-feed`,
          circuitId: circuit.id,
          elementId: pump.id,
          pumpPlacementId,
        };
  });
}
