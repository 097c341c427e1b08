import { firstOf } from '../numerics/index.ts';
import { type BuildDocument, type Fuel, readBuild } from '../model/index.ts';
import type { Catalogue } from '../catalogue/index.ts';
import { engineFigure, fuelLabel } from '../engine/index.ts';
import { fuelFigure } from '../fuel/index.ts';
import { type FigureRef, resultIndex } from '../results/index.ts';
import { evaluate } from './evaluate.ts';
import { otherFuels, withFuels } from './ladderVariants.ts';

/** One fuel in the first circuit of a build, with everything else as it is. SI. */
export interface FuelComparison {
  readonly fuel: Fuel;
  readonly label: string;
  readonly present: boolean;
  readonly density: number;
  readonly stoichAirFuelRatio: number;
  readonly vapourPressureAbsolute: number;
  /** peak mass flow of the whole engine, without the design factor */
  readonly peakMassFlow: number;
  readonly consumption: number;
  readonly perDistance: number;
  readonly range: number;
  /** range against the present fuel */
  readonly rangeRatio: number;
  readonly duty: number | undefined;
  readonly pumpMargin: number | undefined;
  readonly stops: number;
}

/** The fuel of the build beside the usual others, each evaluated in the whole build. */
export function compareFuels(document: BuildDocument, catalogue: Catalogue): FuelComparison[] {
  const present = firstOf(readBuild(document).fuels);
  const rows = [present, ...otherFuels(present)].map((fuel) => {
    const evaluation = evaluate(withFuels(document, [fuel]), catalogue);
    const results = resultIndex(evaluation.results);
    const value = (ref: FigureRef): number => results.find(ref)?.value ?? NaN;
    const fluid = firstOf(evaluation.fluids);
    return {
      fuel,
      label: fuelLabel(fuel),
      present: fuel === present,
      density: value(engineFigure('fuel.density')),
      stoichAirFuelRatio: value(engineFigure('fuel.stoichAirFuelRatio')),
      vapourPressureAbsolute: value(engineFigure('fuel.hot.vapourPressureAbsolute')),
      peakMassFlow: evaluation.demandPeak.massFlow,
      consumption: value(fuelFigure('consumption.flow')),
      perDistance: value(fuelFigure('consumption.perDistance')),
      range: value(fuelFigure('range.distance')),
      duty: fluid.worstDuty?.duty,
      pumpMargin: fluid.peak?.margin,
      stops: evaluation.findings.filter((f) => f.severity === 'stop').length,
    };
  });
  return rows.map((row) => ({ ...row, rangeRatio: row.range / firstOf(rows).range }));
}
