import {
  demandStage,
  fuelProperties,
  fuelScope,
  surroundings as surroundingsOf,
} from '../../engine/index.ts';
import { rowDesigns } from '../../fuel/index.ts';
import { stage } from '../runner/source.ts';
import { slices } from '../slices.ts';

/** Conditions around the engine. */
export const surroundings = stage({
  name: 'surroundings',
  reads: { brief: slices.brief },
  run: ({ brief }) => surroundingsOf(brief),
});

/** What each fuel is at the temperatures of this build. */
export const fuels = stage({
  name: 'fuels',
  reads: { fuels: slices.fuels, around: surroundings },
  run: (read) =>
    read.fuels.map((fuel, i) =>
      fuelProperties({
        fuel,
        scope: fuelScope(i, fuel.id),
        hottest: read.around.hottestFuel,
        coldest: read.around.coldest,
      }),
    ),
});

/** How the rows share the fuel. */
export const rows = stage({
  name: 'rows',
  reads: {
    rows: slices.rows,
    circuits: slices.circuits,
    brief: slices.brief,
    fuels,
    catalogue: slices.catalogue,
  },
  run: ({ brief, ...read }) => rowDesigns({ ...read, cycle: brief.cycle }),
});

/** The fuel need by both schools, and the map. */
export const demand = stage({
  name: 'demand',
  reads: {
    brief: slices.brief,
    demand: slices.school,
    limits: slices.designFactor,
    injectorRows: slices.rows,
    around: surroundings,
    rows,
  },
  run: ({ around, rows: designs, ...document }) =>
    demandStage({ document, around, rowFuels: designs.map((row) => row.fuel) }),
});
