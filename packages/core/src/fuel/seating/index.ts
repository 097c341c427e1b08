export * from './formulas.ts';
export * from './seatingFigures.ts';
