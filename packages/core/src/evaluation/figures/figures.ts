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

/** Every figure of the fuel system with its working. */
export function fuelFigures(named: NamedDesign, fluids: readonly FluidResult[]): Result[] {
  const circuits = named.circuits.map((c) => c.circuit);
  return [
    ...rowSystemResults(named),
    ...fluids.flatMap((fluid, i) =>
      fluidResults(named, fluid, i, caseNumbering(circuits.slice(0, i))),
    ),
  ];
}
