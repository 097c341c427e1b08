import { elementPath } from '../circuits/circuitRun.ts';
import { type CircuitScope, fuelFigure } from '../figureNames.ts';
import type { FuelCircuit, Placement } from '../../model/index.ts';
import { type LengthSource, type RoutedLengths, bestLength } from '../../vehicle/index.ts';
import { NotFound } from '../../quantities/index.ts';
import { type Result, type Sourced, byDefault } from '../../results/index.ts';

const NO_BENDS = byDefault(0, 'no way on the map: its bends are not known');

export interface CircuitGeometry {
  readonly heights: Readonly<Record<string, number>>;
  readonly lengths: Readonly<Record<string, number>>;
  /** loss coefficients of the bends of lines that have a way on the map */
  readonly bendLosses: Readonly<Record<string, Sourced<number>>>;
  readonly lengthSources: Readonly<Record<string, LengthSource>>;
  readonly results: readonly Result[];
}

/** Heights of nodes and best known lengths of lines, as stored; nothing is moved here. */
export function geometryStage(input: {
  circuit: FuelCircuit;
  scope: CircuitScope;
  placements: readonly Placement[];
  /** lengths of the lines that have a way on the map */
  routed: RoutedLengths;
}): CircuitGeometry {
  const { circuit, scope } = input;
  const places = new Map<string, Placement>(input.placements.map((p) => [p.id, p]));
  const placeOf = (nodeId: string): Placement => {
    const node = circuit.nodes.find((n) => n.id === nodeId);
    const place = node && places.get(node.placementId);
    if (!place) throw new NotFound(`node "${nodeId}" has no place on the vehicle`, nodeId);
    return place;
  };
  const heights: Record<string, number> = {};
  for (const node of circuit.nodes) heights[node.id] = placeOf(node.id).z.value;
  const lengths: Record<string, number> = {};
  const bendLosses: Record<string, Sourced<number>> = {};
  const lengthSources: Record<string, LengthSource> = {};
  const results: Result[] = [];
  circuit.elements.forEach((element) => {
    if (element.kind !== 'line') return;
    const best = bestLength({
      figures: {
        length: fuelFigure('element.length', { ...scope, element: element.id }),
        mapLength: fuelFigure('element.mapLength', { ...scope, element: element.id }),
      },
      label: element.name,
      length: element.length,
      from: placeOf(element.from),
      to: placeOf(element.to),
      path: elementPath(circuit, element, 'length'),
      onMap: input.routed[element.id]?.length,
    });
    lengths[element.id] = best.value;
    lengthSources[element.id] = best.source;
    bendLosses[element.id] = input.routed[element.id]?.bendLoss ?? NO_BENDS;
    results.push(...best.results);
  });
  return { heights, lengths, bendLosses, lengthSources, results };
}
