export * from './figureNames.ts';
export { flat, neededFromHeat, routeFormulas } from './formulas.ts';
export * from './routeProblems.ts';
export * from './routeStage.ts';
