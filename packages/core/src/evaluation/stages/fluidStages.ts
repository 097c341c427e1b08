import { entryAt } from '../../numerics/index.ts';
import {
  type FluidDesign,
  type JudgedDesign,
  type NamedDesign,
  circuitDesigns,
  fluidStage,
  namedDesign as withNames,
  namedResult,
  tankStage,
} from '../../fuel/index.ts';
import { routedLengthsOf } from '../../vehicle/index.ts';
import {
  fuelFigures as figuresOfFuel,
  lengthFigures as figuresOfLengths,
} from '../figures/figures.ts';
import { stage } from '../runner/source.ts';
import { slices } from '../slices.ts';
import { fuels, rows, demand } from './engineStages.ts';
import { map, geometry } from './vehicleStages.ts';
import { pumpSupply } from './electricStages.ts';

export const fluidDesign = stage({
  name: 'fluidDesign',
  gives: 'the fuel circuits as numbers, without names',
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
    supply: pumpSupply,
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

export const solvedFluids = stage({
  name: 'solvedFluids',
  gives: 'every case and the operating map, solved',
  reads: { design: fluidDesign },
  run: (read) => fluidStage(read.design),
});

export const namedDesign = stage({
  name: 'namedDesign',
  gives: 'the fluid design with the names of its things',
  reads: { design: fluidDesign, things: slices.namedThings, road: slices.road },
  run: ({ design: bare, things, road }): NamedDesign => ({
    ...bare,
    document: { ...bare.document, ...things, brief: { ...bare.document.brief, ...road } },
    circuits: bare.circuits.map((circuit) => withNames(circuit, things)),
  }),
});

export const judgedDesign = stage({
  name: 'judgedDesign',
  gives: 'the fluid design with all that it is judged by',
  reads: {
    named: namedDesign,
    brief: slices.judgedBrief,
    limits: slices.limits,
    power: slices.power,
  },
  run: ({ named: { document, ...rest }, brief, limits, power }): JudgedDesign => ({
    ...rest,
    document: { ...document, brief, limits, power },
  }),
});

export const fluids = stage({
  name: 'fluids',
  gives: 'the solved cases, on things with names',
  reads: { solved: solvedFluids, named: namedDesign },
  run: (read) =>
    read.solved.map((result, i) => namedResult(result, entryAt(read.named.circuits, i))),
});

export const fuelFigures = stage({
  name: 'fuelFigures',
  gives: 'figures of rows, circuits and cases',
  reads: { named: namedDesign, fluids },
  run: (read) => figuresOfFuel(read.named, read.fluids),
});

export const lengthFigures = stage({
  name: 'lengthFigures',
  gives: 'figures of line lengths',
  reads: { named: namedDesign, places: slices.places, map },
  run: (read) => [
    ...figuresOfLengths(read.named, read.places, routedLengthsOf(read.map)),
    ...read.map.lines.flatMap((line) => line.results),
    ...read.map.results,
  ],
});

export const ventLengths = stage({
  name: 'ventLengths',
  gives: 'how long the vents of tanks are along their routes',
  reads: { map },
  run: (read) =>
    routedLengthsOf({
      lines: read.map.lines.filter(
        ({ carries }) => carries === 'vent' || carries === 'vapour-return',
      ),
    }),
});

export const tanks = stage({
  name: 'tanks',
  gives: 'when the pickups of tanks fall dry',
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
