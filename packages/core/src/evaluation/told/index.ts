export * from './delta.ts';
export * from './toldEvaluation.ts';
