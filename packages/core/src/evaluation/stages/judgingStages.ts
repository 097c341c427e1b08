import { lookUp } from '../../catalogue/index.ts';
import type { BareFinding } from '../../model/index.ts';
import { kept } from '../../numerics/index.ts';
import { resultIndex } from '../../results/index.ts';
import { type JudgedDesign, candidatesOf } from '../../fuel/index.ts';
import type { HarnessChecked } from '../../harness/index.ts';
import { withAcceptances } from '../acceptance.ts';
import { found } from '../found.ts';
import { type ValuesOf, stage } from '../runner/source.ts';
import { slices } from '../slices.ts';
import { surroundings, fuels, demand } from './engineStages.ts';
import { map } from './vehicleStages.ts';
import { electrics, budget, switching, sneaks, panel, feeds } from './electricStages.ts';
import { design, judged, fluids, fuel, lengths, tanks } from './fluidStages.ts';
import { harness } from './harnessStages.ts';
import { led } from './ledStages.ts';
import { made, buying } from './plumbingStages.ts';

/** Every figure with its working. */
export const results = stage({
  name: 'figures',
  reads: {
    around: surroundings,
    fuels,
    demand,
    electrics,
    fuel,
    lengths,
    tanks,
    made,
    buying,
    budget,
    panel,
    switching,
    sneaks,
    led,
    harness,
  },
  run: (read) => [
    ...read.led.results,
    ...read.harness.results,
    ...(read.panel?.results ?? []),
    ...read.switching.results,
    ...read.sneaks.results,
    ...read.around.results,
    ...read.fuels.flatMap(({ results: ofFuel }) => ofFuel),
    ...read.demand.results,
    ...read.lengths,
    ...read.electrics.results,
    ...read.fuel,
    ...read.budget.results,
    ...read.tanks.flatMap((tank) => tank.results),
    ...read.made.flatMap((line) => line.results),
    ...read.buying,
  ],
});

export const ecu = stage({
  name: 'ecu',
  reads: { power: slices.power, catalogue: slices.catalogue },
  run: ({ power, catalogue }) => lookUp(catalogue, 'ecu', power.ecu, 'power.ecu'),
});

/** What the candidates are judged by: the design without names, and the limits. */
export const choosing = stage({
  name: 'choosing',
  reads: { design, brief: slices.judgedBrief, limits: slices.limits, power: slices.power },
  run: ({ design: bare, brief, limits, power }): JudgedDesign => ({
    ...bare,
    document: { ...bare.document, brief, limits, power },
  }),
});

const candidatesAsked = kept(candidatesOf);

/** Every part judged in its place; worked out when it is asked for. */
export const candidates = stage({
  name: 'candidates',
  reads: { choosing, ecu },
  run: (read) => candidatesAsked(read.choosing, read.ecu),
  holdsFunctions: true,
});

const checkedSources = {
  judged,
  catalogue: slices.catalogue,
  fluids,
  feeds,
  electrics,
  budget,
  panel,
  switching,
  switchingRows: slices.switching,
  sneaks,
  electric: slices.electric,
  power: slices.power,
  choosing,
  ecu,
  results,
  map,
  tanks,
  made,
  vehicle: slices.vehicle,
  routes: slices.routes,
  led,
  harness,
  decidedHarness: slices.harness,
  placements: slices.places,
};

const whatIsChecked = (read: ValuesOf<typeof checkedSources>): HarnessChecked => ({
  led: read.led,
  harness: read.harness,
  decidedHarness: read.decidedHarness,
  placements: read.placements,
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
  switching: read.switching,
  switchingRows: read.switchingRows,
  sneaks: read.sneaks,
  wired: { ...read.electric, power: read.power },
  candidates: candidatesAsked(read.choosing, read.ecu),
  tanks: read.tanks,
  ecu: read.ecu,
  results: resultIndex(read.results),
});

/** Everything the checks look at. */
export const checked = stage({
  name: 'what is checked',
  reads: checkedSources,
  run: whatIsChecked,
  holdsFunctions: true,
});

/** What is wrong or tight, worst first, without the cures. */
export const checks = stage({
  name: 'checks',
  reads: checkedSources,
  run: (read): BareFinding[] =>
    found(whatIsChecked(read)).map(({ cures: _, ...finding }) => finding),
});

/** Findings with what a person accepted. */
export const findings = stage({
  name: 'acceptances',
  reads: { checks, acceptances: slices.acceptances },
  run: (read) => withAcceptances(read.checks, read.acceptances),
});
