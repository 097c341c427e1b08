import type { ElectricDesign } from '../../electrics/index.ts';
import type { Demand, FuelProperties, Surroundings } from '../../engine/index.ts';
import {
  type CaseNumbering,
  type FluidResult,
  type NamedDesign,
  circuitScope,
  fluidResults,
  geometryStage,
  rowSystemResults,
} from '../../fuel/index.ts';
import type { FuelCircuit, Placement } from '../../model/index.ts';
import type { Result } from '../../results/index.ts';
import type { RoutedLengths } from '../../vehicle/index.ts';

/** Numbers of the first rail and pump of a circuit, after those of the circuits before it. */
function caseNumbering(before: readonly FuelCircuit[]): CaseNumbering {
  const elements = before.flatMap((circuit) => circuit.elements);
  return {
    firstRail: 1 + elements.filter((e) => e.kind === 'injectors').length,
    firstPump: 1 + elements.filter((e) => e.kind === 'pump').length,
  };
}

/** The lengths of every line with their workings. */
export const lengthFigures = (
  named: NamedDesign,
  placements: readonly Placement[],
  routed: RoutedLengths,
): Result[] =>
  named.circuits.flatMap(
    ({ circuit }, i) =>
      geometryStage({ circuit, scope: circuitScope(i, circuit.id), placements, routed }).results,
  );

/** Every figure of a build with its working, in the order of the work. */
export function figures(input: {
  around: Surroundings;
  fuels: readonly FuelProperties[];
  demand: Demand;
  electrics: Pick<ElectricDesign, 'results'>;
  named: NamedDesign;
  fluids: readonly FluidResult[];
  lengths: readonly Result[];
}): Result[] {
  const { named } = input;
  const circuits = named.circuits.map((c) => c.circuit);
  return [
    ...input.around.results,
    ...input.fuels.flatMap((f) => f.results),
    ...input.demand.results,
    ...input.lengths,
    ...input.electrics.results,
    ...rowSystemResults(named),
    ...input.fluids.flatMap((fluid, i) =>
      fluidResults(named, fluid, i, caseNumbering(circuits.slice(0, i))),
    ),
  ];
}
