import { lookUp } from '../../catalogue/index.ts';
import { type ElectricsChecked, electricsRules } from '../../electrics/index.ts';
import { type EngineChecked, engineRules } from '../../engine/index.ts';
import { type FuelChecked, type JudgedDesign, candidatesOf, fuelRules } from '../../fuel/index.ts';
import { type HarnessChecked, harnessRules } from '../../harness/index.ts';
import type { BareFinding } from '../../model/index.ts';
import { memo } from '../../numerics/index.ts';
import { type PlumbingChecked, plumbingRules } from '../../plumbing/index.ts';
import { type Severity, resultIndex } from '../../results/index.ts';
import { type VehicleChecked, vehicleRules } from '../../vehicle/index.ts';
import { withAcceptances } from '../acceptance.ts';
import { foundBy } from '../checks/foundBy.ts';
import { type ValuesOf, stage } from '../runner/source.ts';
import { slices } from '../slices.ts';
import { electrics, feeds, panel, sneaks, supplyBudget, switching } from './electricStages.ts';
import { fluidDesign, fluids, judgedDesign, tanks } from './fluidStages.ts';
import { harness } from './harnessStages.ts';
import { routedHarness } from './routedHarnessStages.ts';
import { madeLines } from './plumbingStages.ts';
import { results } from './figureStages.ts';
import { map } from './vehicleStages.ts';

export const ecu = stage({
  name: 'ecu',
  gives: 'the catalogue item of the engine controller',
  reads: { power: slices.power, catalogue: slices.catalogue },
  run: ({ power, catalogue }) => lookUp(catalogue, 'ecu', power.ecu, 'power.ecu'),
});

export const choosing = stage({
  name: 'choosing',
  gives: 'the fluid design with the limits that candidates are judged by',
  reads: {
    design: fluidDesign,
    brief: slices.judgedBrief,
    limits: slices.limits,
    power: slices.power,
  },
  run: ({ design: bare, brief, limits, power }): JudgedDesign => ({
    ...bare,
    document: { ...bare.document, brief, limits, power },
  }),
});

const candidatesAsked = memo(candidatesOf);

export const candidates = stage({
  name: 'candidates',
  gives: 'every pump, regulator and injector of the catalogue judged in its place, when asked for',
  reads: { choosing, ecu },
  run: (read) => candidatesAsked(read.choosing, read.ecu),
  holdsFunctions: true,
});

export const lineNames = stage({
  name: 'lineNames',
  gives: 'the name of each line by its id',
  reads: { design: judgedDesign, otherLines: slices.otherLines },
  run: ({ design, otherLines }): Readonly<Record<string, string>> =>
    Object.fromEntries(
      [...design.document.fuelCircuits.flatMap(({ elements }) => elements), ...otherLines].map(
        (line) => [line.id, line.name],
      ),
    ),
});

const resultsByKey = memo(resultIndex);

const engineReads = { design: judgedDesign, results };
const engineChecked = (read: ValuesOf<typeof engineReads>): EngineChecked => ({
  document: read.design.document,
  results: resultsByKey(read.results),
});

const vehicleReads = {
  map,
  vehicle: slices.vehicle,
  routes: slices.routes,
  catalogue: slices.catalogue,
  lineNames,
};
const vehicleChecked = (read: ValuesOf<typeof vehicleReads>): VehicleChecked => ({
  map: read.map,
  vehicle: read.vehicle,
  routes: read.routes,
  catalogue: read.catalogue,
  lineNames: read.lineNames,
});

const electricReads = {
  ...engineReads,
  catalogue: slices.catalogue,
  feeds,
  electrics,
  supply: supplyBudget,
  switching,
  switchingRows: slices.switching,
  sneaks,
  panel,
  electric: slices.electric,
  power: slices.power,
  ecu,
};
const electricChecked = (read: ValuesOf<typeof electricReads>): ElectricsChecked => ({
  ...engineChecked(read),
  catalogue: read.catalogue,
  feeds: read.feeds,
  electrics: read.electrics,
  supply: read.supply,
  switching: read.switching,
  switchingRows: read.switchingRows,
  sneaks: read.sneaks,
  panel: read.panel,
  wired: { ...read.electric, power: read.power },
  ecu: read.ecu,
});

const fuelReads = { ...electricReads, ...vehicleReads, fluids, choosing, tanks };
const fuelChecked = (read: ValuesOf<typeof fuelReads>): FuelChecked => ({
  ...electricChecked(read),
  ...vehicleChecked(read),
  design: read.design,
  fluids: read.fluids,
  candidates: candidatesAsked(read.choosing, read.ecu),
  tanks: read.tanks,
});

const plumbingReads = { ...fuelReads, made: madeLines };
const plumbingChecked = (read: ValuesOf<typeof plumbingReads>): PlumbingChecked => ({
  ...fuelChecked(read),
  made: read.made,
});

const harnessReads = {
  ...plumbingReads,
  led: routedHarness,
  harness,
  decidedHarness: slices.harness,
  placements: slices.places,
};
const harnessChecked = (read: ValuesOf<typeof harnessReads>): HarnessChecked => ({
  ...plumbingChecked(read),
  led: read.led,
  harness: read.harness,
  decidedHarness: read.decidedHarness,
  placements: read.placements,
});

export const engineChecks = stage({
  name: 'engineChecks',
  gives: 'findings on demand and fuels',
  reads: engineReads,
  run: (read) => foundBy(engineRules, engineChecked(read)),
});

export const fuelChecks = stage({
  name: 'fuelChecks',
  gives: 'findings on injectors, pumps, circuits and tanks',
  reads: fuelReads,
  run: (read) => foundBy(fuelRules, fuelChecked(read)),
});

export const electricChecks = stage({
  name: 'electricChecks',
  gives: 'findings on devices, pins, wires, fuses and supply',
  reads: electricReads,
  run: (read) => foundBy(electricsRules, electricChecked(read)),
});

export const vehicleChecks = stage({
  name: 'vehicleChecks',
  gives: 'findings on routes and places',
  reads: vehicleReads,
  run: (read) => foundBy(vehicleRules, vehicleChecked(read)),
});

export const plumbingChecks = stage({
  name: 'plumbingChecks',
  gives: 'findings on lines as they are made',
  reads: plumbingReads,
  run: (read) => foundBy(plumbingRules, plumbingChecked(read)),
});

export const harnessChecks = stage({
  name: 'harnessChecks',
  gives: 'findings on the harness and its bundles',
  reads: harnessReads,
  run: (read) => foundBy(harnessRules, harnessChecked(read)),
});

export const checked = stage({
  name: 'checked',
  gives: 'everything that the checks look at: for cures, ladder and search for parts',
  reads: harnessReads,
  run: harnessChecked,
  holdsFunctions: true,
});

const severityOrder: Readonly<Record<Severity, number>> = { stop: 0, warn: 1, note: 2 };

export const findings = stage({
  name: 'findings',
  gives: 'findings of all rooms, worst first, with what was accepted',
  reads: {
    engineChecks,
    fuelChecks,
    electricChecks,
    vehicleChecks,
    plumbingChecks,
    harnessChecks,
    acceptances: slices.acceptances,
  },
  run: ({ acceptances, ...byRoom }) =>
    withAcceptances(
      Object.values<readonly BareFinding[]>(byRoom)
        .flat()
        .sort((a, b) => severityOrder[a.severity] - severityOrder[b.severity]),
      acceptances,
    ),
});
