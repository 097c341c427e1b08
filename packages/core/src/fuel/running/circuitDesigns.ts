import type { SizedPumpFeed } from '../../electrics/index.ts';
import type { FuelProperties } from '../../engine/index.ts';
import type { FuelCircuit } from '../../model/index.ts';
import { NotFound } from '../../quantities/index.ts';
import type { CircuitDesign, RowDesign } from './design.ts';
import type { CircuitGeometry } from './geometryStage.ts';

/** The circuits as numbers: each with its fuel, rows, geometry and the wiring of its pumps. */
export function circuitDesigns(input: {
  circuits: readonly FuelCircuit[];
  fuels: readonly FuelProperties[];
  rows: readonly RowDesign[];
  geometry: readonly CircuitGeometry[];
  feeds: readonly Pick<SizedPumpFeed, 'feed' | 'seriesResistance' | 'seriesFigure'>[];
}): CircuitDesign[] {
  return input.circuits.map((circuit, i) => {
    const fuel = input.fuels.find((f) => f.fuel.id === circuit.fuelId);
    const geometry = input.geometry[i];
    if (!fuel || !geometry) throw new NotFound('a circuit has no fuel', circuit.id);
    const feeds = input.feeds.filter((f) => f.feed.circuitId === circuit.id);
    const byPump = <Value>(of: (feed: (typeof feeds)[number]) => Value) =>
      Object.fromEntries(feeds.map((f) => [f.feed.elementId, of(f)]));
    return {
      circuit,
      fuel,
      rows: input.rows.filter((row) => row.row.circuitId === circuit.id),
      heights: geometry.heights,
      lengths: geometry.lengths,
      bendLosses: geometry.bendLosses,
      seriesResistances: byPump((f) => f.seriesResistance),
      seriesFigures: byPump((f) => f.seriesFigure),
    };
  });
}
