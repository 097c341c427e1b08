import type { BuildDocument, Catalogue, Fuel } from '../build/index.ts';
import { fuelLabel } from '../fuels/index.ts';
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
  const present = document.fuels[0]!;
  const rows = [present, ...otherFuels(present)].map((fuel) => {
    const evaluation = evaluate(withFuels(document, [fuel]), catalogue);
    const value = (key: string): number =>
      evaluation.results.find((r) => r.key === key)?.value ?? NaN;
    const fluid = evaluation.fluids[0]!;
    return {
      fuel,
      label: fuelLabel(fuel),
      present: fuel === present,
      density: value('fuel.density'),
      stoichAirFuelRatio: value('fuel.stoichAirFuelRatio'),
      vapourPressureAbsolute: value('fuel.vapourPressureAbsolute'),
      peakMassFlow: evaluation.demandPeak.massFlow,
      consumption: value('consumption.flow'),
      perDistance: value('consumption.perDistance'),
      range: value('range.distance'),
      duty: fluid.worstDuty?.duty,
      pumpMargin: fluid.peak?.margin,
      stops: evaluation.findings.filter((f) => f.severity === 'stop').length,
    };
  });
  return rows.map((row) => ({ ...row, rangeRatio: row.range / rows[0]!.range }));
}
