import type { FluidResult, SolvedCase } from '../fluidStage.ts';
import type { SolvedCircuit } from '../../hydraulics/index.ts';
import type { BuildFinding, BuildRule, Checked } from '../checked.ts';

/** Where a finding on an element of a circuit belongs. */
export const where = (fluid: FluidResult, elementId: string): string =>
  `circuit:${fluid.design.circuit.id}/${elementId}`;

/** Runs a check on every circuit whose case was solved. */
export function onSolved(
  name: 'peakPower' | 'hotIdle' | 'overrun',
  check: (checked: Checked, fluid: FluidResult, at: SolvedCase, s: SolvedCircuit) => BuildFinding[],
): BuildRule['check'] {
  return (checked) =>
    checked.fluids.flatMap((fluid) => {
      const at = fluid.cases[name];
      return at.solution.state === 'converged' ? check(checked, fluid, at, at.solution) : [];
    });
}
