import type { BuildCommand, HoseItem, ItemRef } from '../../build/index.ts';
import { newestOf, refOf, withValueAt } from '../../build/index.ts';
import type { SolvedCircuit } from '../../hydraulics/index.ts';
import type { Cure } from '../../results/index.ts';
import type { Checked } from '../checked.ts';
import type { FluidResult, SolvedCase } from '../fluidStage.ts';
import { solvePoint } from '../solvePoint.ts';

/** A case solved again with another item in one element; undefined when unsolved. */
export function solveWith(
  checked: Checked,
  fluid: FluidResult,
  elementId: string,
  item: ItemRef,
  at: SolvedCase,
): SolvedCircuit | undefined {
  const index = fluid.design.circuit.elements.findIndex((e) => e.id === elementId);
  const circuit = withValueAt(fluid.design.circuit, `elements.${index}.item`, item);
  const solution = solvePoint(checked.design, { ...fluid.design, circuit }, at.point);
  return solution.state === 'converged' ? solution : undefined;
}

/** Larger hoses of the same family as a line's, smallest first. */
export function largerHoses(checked: Checked, hose: HoseItem): HoseItem[] {
  return newestOf(checked.catalogue, 'hose')
    .filter((h) => h.family === hose.family && h.bore > hose.bore)
    .sort((a, b) => a.bore - b.bore);
}

/** The smallest larger hose in a line that puts a case right, as a cure; none when no hose does. */
export function largerHoseCure(input: {
  checked: Checked;
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
