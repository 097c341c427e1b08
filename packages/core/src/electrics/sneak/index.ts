export * from './aliveAt.ts';
export { sneakFormulas } from './formulas.ts';
export * from './leftAlive.ts';
export * from './sneakPaths.ts';
export * from './sneakStage.ts';
