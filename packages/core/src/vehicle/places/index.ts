export * from './bestLength.ts';
export * from './mapLength.ts';
export * from './mountingPlace.ts';
export * from './placeFinder.ts';
export * from './vectorOf.ts';
