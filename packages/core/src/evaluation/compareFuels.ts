import { firstOf } from '../numerics/index.ts';
import { type Fuel, readBuild } from '../model/index.ts';
import { engineFigure, fuelLabel } from '../engine/index.ts';
import { fuelFigure } from '../fuel/index.ts';
import { type FigureRef, resultIndex } from '../results/index.ts';
import { otherFuels, withFuels } from './ladderVariants.ts';
import { type KnownBuild, variantsOf } from './variants.ts';

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

/** The fuel of the build beside the usual others, each in the whole build; a step for each. */
export function* compareFuels(known: KnownBuild): Generator<void, FuelComparison[]> {
  const { document } = known;
  const variants = variantsOf(known);
  const present = firstOf(readBuild(document).fuels);
  const rows: Omit<FuelComparison, 'rangeRatio'>[] = [];
  for (const fuel of [present, ...otherFuels(present)]) {
    const evaluation =
      fuel === present ? variants.present : variants.with(withFuels(document, [fuel]));
    const results = resultIndex(evaluation.results);
    const value = (ref: FigureRef): number => results.find(ref)?.value ?? NaN;
    const fluid = firstOf(evaluation.fluids);
    rows.push({
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
    });
    yield;
  }
  return rows.map((row) => ({ ...row, rangeRatio: row.range / firstOf(rows).range }));
}
