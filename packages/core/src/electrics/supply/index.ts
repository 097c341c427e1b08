export * from './budget.ts';
export { supplyFormulas } from './formulas.ts';
export * from './liveWithKeyOff.ts';
export * from './singleFailures.ts';
export * from './supplyStage.ts';
export * from './supplyTree.ts';
