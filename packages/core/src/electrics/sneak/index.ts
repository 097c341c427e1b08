export * from './aliveAt.ts';
export { sneakFormulas } from './formulas.ts';
export * from './leftAlive.ts';
export type { RunsOn } from './pumpRunsOn.ts';
export * from './sneakPaths.ts';
export * from './sneakStage.ts';
