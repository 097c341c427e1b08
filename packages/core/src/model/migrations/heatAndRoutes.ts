import { quantity } from '../../quantities/index.ts';
import { type Plain, eachEntry } from './plain.ts';

/** 5: tanks lose heat to the air, 10 W/K where nobody said otherwise; hot pipes, ways of lines. */
export function heatAndRoutes(document: Plain): Plain {
  return {
    ...document,
    version: 5,
    hotRuns: {},
    routes: {},
    fuelCircuits: eachEntry(document['fuelCircuits'], (circuit) => ({
      ...circuit,
      elements: eachEntry(circuit['elements'], (element) =>
        element['kind'] === 'tank'
          ? { ...element, heatLoss: quantity(10, 'thermalConductance', 'W/K') }
          : element,
      ),
    })),
  };
}
