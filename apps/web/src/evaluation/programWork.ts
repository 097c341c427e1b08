import {
  type AllocationAnswer,
  type AllocationProblem,
  type CuttingPlan,
  type CuttingProblem,
  type CuttingProof,
  allocate,
  provenCuttingPlan,
  solverByText,
} from '@brookrain/core';
import loadSolver from 'highs';
import runtimeUrl from 'highs/runtime?url';

const solver = loadSolver({ locateFile: () => runtimeUrl }).then((loaded) =>
  solverByText((text, options) => loaded.solve(text, options)),
);

/** What a search for pins came to. */
export interface FoundAllocation {
  readonly answer: AllocationAnswer;
}

/**
 * What integer programs answer, in a worker of its own: a program once begun answers nothing else
 * until it is solved, so that the worker is ended where nobody waits for it any more.
 */
export const programWork = {
  /** Proves a cutting plan, or finds a better one. */
  async cutting(
    problem: CuttingProblem,
    from: CuttingPlan,
    onProgress: (proof: CuttingProof) => void,
  ): Promise<CuttingPlan> {
    const proof = provenCuttingPlan(problem, await solver, from);
    for (let step = proof.next(); ; step = proof.next()) {
      if (step.done) return step.value;
      onProgress(step.value);
    }
  },
  /** Puts signals on pins at the least cost, or says what conflicts. */
  async allocation(
    problem: AllocationProblem,
    onProgress: (answer: AllocationAnswer) => void,
  ): Promise<FoundAllocation> {
    const search = allocate(problem, await solver);
    for (let step = search.next(); ; step = search.next()) {
      if (step.done) return { answer: step.value };
      onProgress(step.value);
    }
  },
};

export type ProgramWork = typeof programWork;
