import type { BuildCommand, ItemRef } from '../../model/index.ts';
import type { HoseItem } from '../../catalogue/index.ts';
import { alikeHoses, refOf } from '../../catalogue/index.ts';
import { withElement } from '../circuits/circuitRun.ts';
import type { SolvedCircuit } from '../hydraulics/solveCircuit.ts';
import type { Cure } from '../../results/index.ts';
import type { FuelChecked } from '../checked.ts';
import type { FluidResult, SolvedCase } from '../running/fluidStage.ts';
import { solvePoint } from '../running/solvePoint.ts';

/** A case solved again with another item in one element; undefined when unsolved. */
export function solveWith(
  checked: FuelChecked,
  fluid: FluidResult,
  elementId: string,
  item: ItemRef,
  at: SolvedCase,
): SolvedCircuit | undefined {
  const circuit = withElement(fluid.design.circuit, elementId, { item });
  const solution = solvePoint(checked.design, { ...fluid.design, circuit }, at.point);
  return solution.state === 'converged' ? solution : undefined;
}

/** Larger hoses made like a line's, smallest first. */
export function largerHoses(checked: FuelChecked, hose: HoseItem): HoseItem[] {
  return alikeHoses(checked.catalogue, hose).filter((h) => h.bore > hose.bore);
}

/** The smallest larger hose in a line that puts a case right, as a cure; none when no hose does. */
export function largerHoseCure(input: {
  checked: FuelChecked;
  fluid: FluidResult;
  lineId: string;
  hose: HoseItem;
  at: SolvedCase;
  cured: (solution: SolvedCircuit) => boolean;
}): Cure<BuildCommand>[] {
  const { checked, fluid, lineId } = input;
  for (const hose of largerHoses(checked, input.hose)) {
    const solution = solveWith(checked, fluid, lineId, refOf(hose), input.at);
    if (!solution || !input.cured(solution)) continue;
    const name = fluid.design.circuit.elements.find((e) => e.id === lineId)!.name;
    return [
      {
        text: `Make the ${name.toLowerCase()} ${hose.designation}`,
        command: {
          name: 'choose-part',
          circuitId: fluid.design.circuit.id,
          elementId: lineId,
          item: refOf(hose),
        },
      },
    ];
  }
  return [];
}
