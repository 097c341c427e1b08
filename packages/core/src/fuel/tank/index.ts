export * from './attitudes.ts';
export * from './formulas.ts';
export * from './fuelShape.ts';
export * from './tankStage.ts';
