export * from './figureNames.ts';
export * from './formulas.ts';
export * from './thingFigures.ts';
export * from './freeId.ts';
