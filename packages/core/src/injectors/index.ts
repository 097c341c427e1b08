export * from './formulas.ts';
export * from './injection.ts';
