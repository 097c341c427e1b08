export * from './figureNames.ts';
export { flat, neededFromHeat, routeFormulas } from './formulas.ts';
export * from './routeStage.ts';
