import * as checks from './stages/checkStages.ts';
import * as electric from './stages/electricStages.ts';
import * as engine from './stages/engineStages.ts';
import * as figure from './stages/figureStages.ts';
import * as fluid from './stages/fluidStages.ts';
import * as harness from './stages/harnessStages.ts';
import * as plumbing from './stages/plumbingStages.ts';
import * as routed from './stages/routedHarnessStages.ts';
import * as vehicle from './stages/vehicleStages.ts';

/**
 * The stages of an evaluation in the order in which they run: none reads a later one. Each says
 * where it is declared what it reads and what it gives; docs/stages.md lists both.
 */
export const stages = {
  // engine
  surroundings: engine.surroundings,
  fuels: engine.fuels,
  rows: engine.rows,
  demand: engine.demand,
  // vehicle
  components: vehicle.components,
  map: vehicle.map,
  around: vehicle.around,
  routedLengths: vehicle.routedLengths,
  geometry: vehicle.geometry,
  // electrics
  netlist: routed.netlist,
  routedHarness: routed.routedHarness,
  harnessLengths: routed.harnessLengths,
  wiresInHarness: routed.wiresInHarness,
  switchedInCases: electric.switchedInCases,
  electrics: electric.electrics,
  supplyBudget: electric.supplyBudget,
  switching: electric.switching,
  sneaks: electric.sneaks,
  fusesAndSizes: electric.fusesAndSizes,
  panel: electric.panel,
  feeds: electric.feeds,
  pumpSupply: electric.pumpSupply,
  // fuel
  fluidDesign: fluid.fluidDesign,
  solvedFluids: fluid.solvedFluids,
  namedDesign: fluid.namedDesign,
  judgedDesign: fluid.judgedDesign,
  fluids: fluid.fluids,
  fuelFigures: fluid.fuelFigures,
  lengthFigures: fluid.lengthFigures,
  ventLengths: fluid.ventLengths,
  tanks: fluid.tanks,
  // harness and plumbing
  harness: harness.harness,
  madeLines: plumbing.madeLines,
  parts: plumbing.parts,
  buying: plumbing.buying,
  // figures and findings
  results: figure.results,
  ecu: checks.ecu,
  choosing: checks.choosing,
  candidates: checks.candidates,
  lineNames: checks.lineNames,
  engineChecks: checks.engineChecks,
  fuelChecks: checks.fuelChecks,
  electricChecks: checks.electricChecks,
  vehicleChecks: checks.vehicleChecks,
  plumbingChecks: checks.plumbingChecks,
  harnessChecks: checks.harnessChecks,
  checked: checks.checked,
  findings: checks.findings,
};
