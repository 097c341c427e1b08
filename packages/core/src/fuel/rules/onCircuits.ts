import type { FluidResult, SolvedCase } from '../running/fluidStage.ts';
import type { SolvedCircuit } from '../hydraulics/solveCircuit.ts';
import type { BuildFinding } from '../../model/index.ts';
import type { FindingPlace } from '../../results/index.ts';
import type { FuelChecked, FuelRule } from '../checked.ts';

/** Where a finding on an element of a circuit belongs. */
export const where = (fluid: FluidResult, elementId: string): FindingPlace => ({
  stage: 'circuit',
  circuit: fluid.design.circuit.id,
  element: elementId,
});

/** Where a finding belongs that is dealt with by choosing or setting a pump. */
export const atPump = (fluid: FluidResult, elementId: string): FindingPlace => ({
  stage: 'pump',
  circuit: fluid.design.circuit.id,
  element: elementId,
});

/** Runs a check on every circuit whose case was solved. */
export function onSolved(
  name: 'peakPower' | 'hotIdle' | 'overrun',
  check: (
    checked: FuelChecked,
    fluid: FluidResult,
    at: SolvedCase,
    s: SolvedCircuit,
  ) => BuildFinding[],
): FuelRule['check'] {
  return (checked) =>
    checked.fluids.flatMap((fluid) => {
      const at = fluid.cases[name];
      return at.solution.state === 'converged' ? check(checked, fluid, at, at.solution) : [];
    });
}
