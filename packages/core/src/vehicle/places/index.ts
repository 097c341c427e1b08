export * from './bestLength.ts';
export * from './mapLength.ts';
export * from './vectorOf.ts';
export * from './mountingPlace.ts';
