export * from './entries.ts';
export * from './bisect.ts';
export * from './interpolate.ts';
export * from './pchip.ts';
export * from './solveDense.ts';
export * from './rankCorrelation.ts';
export * from './seededNormal.ts';
export * from './linearProgram.ts';
