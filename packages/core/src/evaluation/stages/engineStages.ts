import {
  demandStage,
  fuelProperties,
  fuelScope,
  surroundings as surroundingsOf,
} from '../../engine/index.ts';
import { rowDesigns } from '../../fuel/index.ts';
import { stage } from '../runner/source.ts';
import { slices } from '../slices.ts';

export const surroundings = stage({
  name: 'surroundings',
  gives: 'air, fuel temperatures and vapour margins around the engine',
  reads: { brief: slices.brief },
  run: ({ brief }) => surroundingsOf(brief),
});

export const fuels = stage({
  name: 'fuels',
  gives: 'the properties of each fuel at the temperatures of this build',
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

export const rows = stage({
  name: 'rows',
  gives: 'how the injector rows share the fuel',
  reads: {
    rows: slices.rows,
    circuits: slices.circuits,
    brief: slices.brief,
    fuels,
    catalogue: slices.catalogue,
  },
  run: ({ brief, ...read }) => rowDesigns({ ...read, cycle: brief.cycle }),
});

export const demand = stage({
  name: 'demand',
  gives: 'the fuel need by both schools, and the operating map',
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
