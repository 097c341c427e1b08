import { surroundings, fuels, rows, demand } from './stages/engineStages.ts';
import { components, map, routedLengths, geometry } from './stages/vehicleStages.ts';
import { netlist, led, ledLengths, inHarness } from './stages/ledStages.ts';
import {
  switched,
  electrics,
  budget,
  switching,
  sneaks,
  onPlate,
  panel,
  feeds,
  supply,
} from './stages/electricStages.ts';
import {
  design,
  solved,
  named,
  judged,
  fluids,
  lengths,
  ventLengths,
  tanks,
} from './stages/fluidStages.ts';
import { harness } from './stages/harnessStages.ts';
import { made, parts, buying } from './stages/plumbingStages.ts';
import {
  results,
  ecu,
  choosing,
  candidates,
  checked,
  checks,
  findings,
} from './stages/judgingStages.ts';

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
  netlist,
  led,
  ledLengths,
  inHarness,
  switched,
  electrics,
  harness,
  budget,
  switching,
  sneaks,
  onPlate,
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
