export * from './pumpModel.ts';
export * from './formulas.ts';
