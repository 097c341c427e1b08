export * from './bisect.ts';
export * from './interpolate.ts';
export * from './pchip.ts';
export * from './solveDense.ts';
