import { entryAt } from '../numerics/index.ts';
import { lookUp } from '../catalogue/index.ts';
import { electricStage, panelStage, supplyStage } from '../electrics/index.ts';
import {
  demandStage,
  fuelProperties,
  fuelScope,
  surroundings as surroundingsOf,
} from '../engine/index.ts';
import { type Severity, resultIndex } from '../results/index.ts';
import { withAcceptances } from './acceptance.ts';
import {
  type FluidDesign,
  type JudgedDesign,
  type NamedDesign,
  candidatesOf,
  circuitDesigns,
  circuitScope,
  fluidStage,
  geometryStage,
  namedDesign,
  namedResult,
  rowDesigns,
  tankStage,
} from '../fuel/index.ts';
import {
  type PlumbingChecked,
  buyingFigures,
  partsNeeded,
  plumbingStage,
} from '../plumbing/index.ts';
import { placedComponents, routeStage, routedLengthsOf } from '../vehicle/index.ts';
import { figures as figuresOf, lengthFigures } from './figures/figures.ts';
import { rules } from './rules.ts';
import { stage } from './runner/source.ts';
import { slices } from './slices.ts';

/** Conditions around the engine. */
const surroundings = stage({
  name: 'surroundings',
  reads: { brief: slices.brief },
  run: ({ brief }) => surroundingsOf(brief),
});

/** What each fuel is at the temperatures of this build. */
const fuels = stage({
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
const rows = stage({
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
const demand = stage({
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

/** Parts that take room, and their ports. */
const components = stage({
  name: 'components',
  reads: {
    placements: slices.places,
    circuits: slices.circuits,
    power: slices.mountedPower,
    catalogue: slices.catalogue,
  },
  run: (read) => placedComponents(read),
});

/** Ways of lines over the vehicle, what is near them, and their figures. */
const map = stage({
  name: 'map',
  reads: {
    routes: slices.routes,
    vehicle: slices.vehicle,
    names: slices.namedThings,
    placements: slices.places,
    placed: components,
    catalogue: slices.catalogue,
  },
  run: ({ names, vehicle, ...read }) =>
    routeStage({ ...read, ...vehicle, circuits: names.fuelCircuits }),
});

/** Lengths that the map gives, with the names left out: what a line is called moves none. */
const routedLengths = stage({
  name: 'lengths on the map',
  reads: { map },
  run: (read) => routedLengthsOf(read.map),
});

/** Heights of joints and lengths of lines. */
const geometry = stage({
  name: 'geometry',
  reads: { circuits: slices.circuits, places: slices.places, routed: routedLengths },
  run: ({ circuits, places, routed }) =>
    circuits.map((circuit, i) => {
      const { heights, lengths, bendLosses, lengthSources } = geometryStage({
        circuit,
        scope: circuitScope(i, circuit.id),
        placements: places,
        routed,
      });
      return { heights, lengths, bendLosses, lengthSources, results: [] };
    }),
});

/** The netlist of the vehicle, its fuses and wires, its circuit in every case. */
const electrics = stage({
  name: 'electrics',
  reads: {
    power: slices.power,
    electric: slices.electric,
    limits: slices.wiringLimits,
    brief: slices.hotDay,
    placements: slices.places,
    fuelCircuits: slices.wiredCircuits,
    injectorRows: slices.wiredRows,
    catalogue: slices.catalogue,
  },
  run: ({ catalogue, electric, ...document }) =>
    electricStage({ document: { ...document, ...electric }, catalogue }),
});

/** Loads against alternator and battery. */
const budget = stage({
  name: 'supply budget',
  reads: {
    electrics,
    power: slices.mountedPower,
    limits: slices.supplyLimits,
    catalogue: slices.catalogue,
  },
  run: supplyStage,
});

/** The plate of relays and fuses. */
const panel = stage({
  name: 'panel',
  reads: { electrics, decided: slices.panels, catalogue: slices.catalogue },
  run: ({ decided, ...read }) => panelStage({ ...read, ...decided }),
});

/** The feeds of the pumps. */
const feeds = stage({
  name: 'pump feeds',
  reads: { electrics },
  run: (read) => read.electrics.feeds,
});

/** What of the wiring the fluid is solved with. */
const supply = stage({
  name: 'pump supply',
  reads: { feeds },
  run: (read) =>
    read.feeds.map(({ feed, seriesResistance, seriesFigure }) => ({
      feed,
      seriesResistance,
      seriesFigure,
    })),
});

/** The circuits as numbers. */
const design = stage({
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
const solved = stage({
  name: 'fuel network',
  reads: { design },
  run: (read) => fluidStage(read.design),
});

/** The design with the names of its things. */
const named = stage({
  name: 'names',
  reads: { design, things: slices.namedThings, road: slices.road },
  run: ({ design: bare, things, road }): NamedDesign => ({
    ...bare,
    document: { ...bare.document, ...things, brief: { ...bare.document.brief, ...road } },
    circuits: bare.circuits.map((circuit) => namedDesign(circuit, things)),
  }),
});

/** The design with all that it is judged by. */
const judged = stage({
  name: 'judged design',
  reads: { named, brief: slices.judgedBrief, limits: slices.limits, power: slices.power },
  run: ({ named: { document, ...rest }, brief, limits, power }): JudgedDesign => ({
    ...rest,
    document: { ...document, brief, limits, power },
  }),
});

/** What was solved, on things with names. */
const fluids = stage({
  name: 'named solutions',
  reads: { solved, named },
  run: (read) =>
    read.solved.map((result, i) => namedResult(result, entryAt(read.named.circuits, i))),
});

/** The lengths of lines as figures. */
const lengths = stage({
  name: 'length figures',
  reads: { named, places: slices.places, map },
  run: (read) => [
    ...lengthFigures(read.named, read.places, routedLengthsOf(read.map)),
    ...read.map.lines.flatMap((line) => line.results),
    ...read.map.results,
  ],
});

/** How long the vents of tanks are along their ways. */
const ventLengths = stage({
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
const tanks = stage({
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

/** Every line as it is made. */
const made = stage({
  name: 'lines as made',
  reads: {
    assemblies: slices.assemblies,
    names: slices.namedThings,
    otherLines: slices.otherLines,
    routes: slices.routes,
    fluids,
    map,
    placed: components,
    catalogue: slices.catalogue,
  },
  run: ({ names, placed, ...read }) =>
    plumbingStage({ ...read, circuits: names.fuelCircuits, ports: placed.ports }),
});

/** Everything that the build is made of, by part. */
const parts = stage({
  name: 'parts',
  reads: {
    names: slices.namedThings,
    fluids,
    electrics,
    electric: slices.electric,
    power: slices.power,
    map,
    made,
    vehicle: slices.vehicle,
    catalogue: slices.catalogue,
  },
  run: ({ names, map: onMap, vehicle, electric, ...read }) =>
    partsNeeded({
      ...read,
      present: electric,
      sheets: vehicle.sheets,
      circuits: names.fuelCircuits,
      rows: names.injectorRows,
      held: onMap.held,
    }),
});

/** Figures of what is bought. */
const buying = stage({
  name: 'buying',
  reads: { parts, offcuts: slices.offcuts },
  run: (read) => buyingFigures(read.parts.parts, read.offcuts),
});

/** Every figure with its working. */
const results = stage({
  name: 'figures',
  reads: {
    around: surroundings,
    fuels,
    demand,
    electrics,
    named,
    fluids,
    lengths,
    tanks,
    made,
    buying,
    budget,
    panel,
  },
  run: ({ tanks: onMap, made: lines, buying: bought, budget: supplied, panel: plate, ...read }) => [
    ...(plate?.results ?? []),
    ...figuresOf(read),
    ...supplied.results,
    ...onMap.flatMap((tank) => tank.results),
    ...lines.flatMap((line) => line.results),
    ...bought,
  ],
});

const ecu = stage({
  name: 'ecu',
  reads: { power: slices.power, catalogue: slices.catalogue },
  run: ({ power, catalogue }) => lookUp(catalogue, 'ecu', power.ecu, 'power.ecu'),
});

/** What the candidates are judged by: the design without names, and the limits. */
const choosing = stage({
  name: 'choosing',
  reads: { design, brief: slices.judgedBrief, limits: slices.limits, power: slices.power },
  run: ({ design: bare, brief, limits, power }): JudgedDesign => ({
    ...bare,
    document: { ...bare.document, brief, limits, power },
  }),
});

/** Every part judged in its place; worked out when it is asked for. */
const candidates = stage({
  name: 'candidates',
  reads: { choosing, ecu },
  run: (read) => candidatesOf(read.choosing, read.ecu),
});

/** Everything the checks look at. */
const checked = stage({
  name: 'what is checked',
  reads: {
    judged,
    catalogue: slices.catalogue,
    fluids,
    feeds,
    electrics,
    budget,
    panel,
    electric: slices.electric,
    power: slices.power,
    candidates,
    ecu,
    results,
    map,
    tanks,
    made,
    vehicle: slices.vehicle,
    routes: slices.routes,
  },
  run: (read): PlumbingChecked => ({
    made: read.made,
    map: read.map,
    vehicle: read.vehicle,
    routes: read.routes,
    lineNames: Object.fromEntries(
      [
        ...read.judged.document.fuelCircuits.flatMap(({ elements }) => elements),
        ...read.vehicle.otherLines,
      ].map((line) => [line.id, line.name]),
    ),
    document: read.judged.document,
    catalogue: read.catalogue,
    design: read.judged,
    fluids: read.fluids,
    feeds: read.feeds,
    electrics: read.electrics,
    supply: read.budget,
    panel: read.panel,
    wired: { ...read.electric, power: read.power },
    candidates: read.candidates,
    tanks: read.tanks,
    ecu: read.ecu,
    results: resultIndex(read.results),
  }),
});

const severityOrder: Readonly<Record<Severity, number>> = { stop: 0, warn: 1, note: 2 };

/** What is wrong or tight, worst first. */
const checks = stage({
  name: 'checks',
  reads: { checked },
  run: (read) =>
    rules
      .flatMap((rule) => rule.check(read.checked))
      .sort((a, b) => severityOrder[a.severity] - severityOrder[b.severity]),
});

/** Findings with what a person accepted. */
const findings = stage({
  name: 'acceptances',
  reads: { checks, acceptances: slices.acceptances },
  run: (read) => withAcceptances(read.checks, read.acceptances),
});

/** The stages in the order in which an evaluation runs them. */
export const stages = {
  components,
  map,
  routedLengths,
  surroundings,
  fuels,
  rows,
  demand,
  geometry,
  electrics,
  budget,
  panel,
  feeds,
  supply,
  design,
  solved,
  named,
  fluids,
  lengths,
  ventLengths,
  tanks,
  made,
  parts,
  buying,
  results,
  judged,
  ecu,
  choosing,
  candidates,
  checked,
  checks,
  findings,
};
