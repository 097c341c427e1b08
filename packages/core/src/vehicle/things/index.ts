export * from './figureNames.ts';
export * from './formulas.ts';
export * from './thingFigures.ts';
