import { quantity } from '../../quantities/index.ts';
import { type Plain, plain } from './plain.ts';

const each = (value: unknown, lift: (entry: Plain) => Plain): Plain =>
  Object.fromEntries(Object.entries(plain(value)).map(([id, entry]) => [id, lift(plain(entry))]));

/** 5: tanks lose heat to the air, 10 W/K where nobody said otherwise; hot pipes, ways of lines. */
export function heatAndRoutes(document: Plain): Plain {
  return {
    ...document,
    version: 5,
    hotRuns: {},
    routes: {},
    fuelCircuits: each(document['fuelCircuits'], (circuit) => ({
      ...circuit,
      elements: each(circuit['elements'], (element) =>
        element['kind'] === 'tank'
          ? { ...element, heatLoss: quantity(10, 'thermalConductance', 'W/K') }
          : element,
      ),
    })),
  };
}
