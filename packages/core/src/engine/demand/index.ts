export * from './demandMap.ts';
export * from './demandStage.ts';
export * from './engine.ts';
export * from './engineBrief.ts';
export { demandFormulas } from './formulas.ts';
