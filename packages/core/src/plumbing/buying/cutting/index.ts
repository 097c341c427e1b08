export type { CutLength, CuttingPlan, CuttingProblem } from './problem.ts';
export * from './searchedPlan.ts';
export * from './provenPlan.ts';
