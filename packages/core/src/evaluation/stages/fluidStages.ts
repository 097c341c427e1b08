import { entryAt } from '../../numerics/index.ts';
import {
  type FluidDesign,
  type JudgedDesign,
  type NamedDesign,
  circuitDesigns,
  fluidStage,
  namedDesign,
  namedResult,
  tankStage,
} from '../../fuel/index.ts';
import { routedLengthsOf } from '../../vehicle/index.ts';
import { fuelFigures, lengthFigures } from '../figures/figures.ts';
import { stage } from '../runner/source.ts';
import { slices } from '../slices.ts';
import { fuels, rows, demand } from './engineStages.ts';
import { map, geometry } from './vehicleStages.ts';
import { supply } from './electricStages.ts';

/** The circuits as numbers. */
export const design = stage({
  name: 'fluid design',
  reads: {
    brief: slices.brief,
    limits: slices.runningLimits,
    injectorRows: slices.rows,
    fuelCircuits: slices.circuits,
    bareFuels: slices.fuels,
    catalogue: slices.catalogue,
    demand,
    rows,
    geometry,
    supply,
    fuels,
  },
  run: (read): FluidDesign => ({
    document: {
      brief: read.brief,
      limits: read.limits,
      injectorRows: read.injectorRows,
      fuelCircuits: read.fuelCircuits,
      fuels: read.bareFuels,
    },
    catalogue: read.catalogue,
    demand: read.demand,
    circuits: circuitDesigns({
      circuits: read.fuelCircuits,
      fuels: read.fuels,
      rows: read.rows,
      geometry: read.geometry,
      feeds: read.supply,
    }),
  }),
});

/** Every case and the map, solved. */
export const solved = stage({
  name: 'fuel network',
  reads: { design },
  run: (read) => fluidStage(read.design),
});

/** The design with the names of its things. */
export const named = stage({
  name: 'names',
  reads: { design, things: slices.namedThings, road: slices.road },
  run: ({ design: bare, things, road }): NamedDesign => ({
    ...bare,
    document: { ...bare.document, ...things, brief: { ...bare.document.brief, ...road } },
    circuits: bare.circuits.map((circuit) => namedDesign(circuit, things)),
  }),
});

/** The design with all that it is judged by. */
export const judged = stage({
  name: 'judged design',
  reads: { named, brief: slices.judgedBrief, limits: slices.limits, power: slices.power },
  run: ({ named: { document, ...rest }, brief, limits, power }): JudgedDesign => ({
    ...rest,
    document: { ...document, brief, limits, power },
  }),
});

/** What was solved, on things with names. */
export const fluids = stage({
  name: 'named solutions',
  reads: { solved, named },
  run: (read) =>
    read.solved.map((result, i) => namedResult(result, entryAt(read.named.circuits, i))),
});

/** The figures of rows, circuits and cases. */
export const fuel = stage({
  name: 'fuel figures',
  reads: { named, fluids },
  run: (read) => fuelFigures(read.named, read.fluids),
});

/** The lengths of lines as figures. */
export const lengths = stage({
  name: 'length figures',
  reads: { named, places: slices.places, map },
  run: (read) => [
    ...lengthFigures(read.named, read.places, routedLengthsOf(read.map)),
    ...read.map.lines.flatMap((line) => line.results),
    ...read.map.results,
  ],
});

/** How long the vents of tanks are along their ways. */
export const ventLengths = stage({
  name: 'lengths of vents',
  reads: { map },
  run: (read) =>
    routedLengthsOf({
      lines: read.map.lines.filter(
        ({ carries }) => carries === 'vent' || carries === 'vapour-return',
      ),
    }),
});

/** When the pickups of tanks fall dry. */
export const tanks = stage({
  name: 'tanks',
  reads: {
    fluids,
    tanks: slices.tanks,
    solids: slices.solids,
    placements: slices.places,
    otherLines: slices.otherLines,
    catalogue: slices.catalogue,
    routed: ventLengths,
    use: slices.use,
  },
  run: ({ use, ...read }) => tankStage({ ...read, use: use.use }),
});
