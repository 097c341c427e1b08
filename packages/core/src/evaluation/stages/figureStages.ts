import { stage } from '../runner/source.ts';
import { surroundings, fuels, demand } from './engineStages.ts';
import { electrics, supplyBudget, switching, sneaks, panel } from './electricStages.ts';
import { fuelFigures, lengthFigures, tanks } from './fluidStages.ts';
import { harness } from './harnessStages.ts';
import { routedHarness } from './routedHarnessStages.ts';
import { madeLines, buying } from './plumbingStages.ts';

export const results = stage({
  name: 'results',
  gives: 'every figure with its working',
  reads: {
    around: surroundings,
    fuels,
    demand,
    electrics,
    fuel: fuelFigures,
    lengths: lengthFigures,
    tanks,
    made: madeLines,
    buying,
    budget: supplyBudget,
    panel,
    switching,
    sneaks,
    led: routedHarness,
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
