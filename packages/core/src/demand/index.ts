export * from './demandMap.ts';
export * from './demandStage.ts';
export * from './engine.ts';
export { demandFormulas } from './formulas.ts';
