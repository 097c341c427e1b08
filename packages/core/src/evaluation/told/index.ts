export type * from './toldHarness.ts';
export * from './delta.ts';
export * from './toldEvaluation.ts';
