export * from './bodyNumbers.ts';
export * from './componentCheck.ts';
export * from './componentFigures.ts';
export * from './figureNames.ts';
export * from './formulas.ts';
export * from './placedComponent.ts';
