import type { BuildDocument, FuelCircuit, Placement } from '../build/index.ts';
import { bestLength } from '../chassis/index.ts';
import { NotFound } from '../quantities/index.ts';
import type { Result } from '../results/index.ts';

export interface CircuitGeometry {
  readonly heights: Readonly<Record<string, number>>;
  readonly lengths: Readonly<Record<string, number>>;
  readonly lengthSources: Readonly<Record<string, 'measured' | 'typed' | 'map'>>;
  readonly results: readonly Result[];
}

/** Keys of a circuit's elements: the first circuit needs no name of its own. */
export function elementKey(circuitIndex: number, circuit: FuelCircuit, elementId: string): string {
  return circuitIndex === 0 ? `circuit.${elementId}` : `circuit.${circuit.id}.${elementId}`;
}

/** Heights of nodes and best known lengths of lines, as stored; nothing is moved here. */
export function geometryStage(input: {
  document: BuildDocument;
  circuitIndex: number;
}): CircuitGeometry {
  const { document, circuitIndex } = input;
  const circuit = document.fuelCircuits[circuitIndex]!;
  const places = new Map<string, Placement>(document.placements.map((p) => [p.id, p]));
  const placeOf = (nodeId: string): Placement => {
    const node = circuit.nodes.find((n) => n.id === nodeId);
    const place = node && places.get(node.placementId);
    if (!place) throw new NotFound(`node "${nodeId}" has no place on the vehicle`, nodeId);
    return place;
  };
  const heights: Record<string, number> = {};
  for (const node of circuit.nodes) heights[node.id] = placeOf(node.id).z.value;
  const lengths: Record<string, number> = {};
  const lengthSources: Record<string, 'measured' | 'typed' | 'map'> = {};
  const results: Result[] = [];
  circuit.elements.forEach((element, index) => {
    if (element.kind !== 'line') return;
    const best = bestLength({
      key: elementKey(circuitIndex, circuit, element.id),
      label: element.name,
      length: element.length,
      from: placeOf(element.from),
      to: placeOf(element.to),
      path: `fuelCircuits.${circuitIndex}.elements.${index}.length`,
    });
    lengths[element.id] = best.value;
    lengthSources[element.id] = best.source;
    results.push(...best.results);
  });
  return { heights, lengths, lengthSources, results };
}
