export * from './candidates.ts';
export * from './candidatesOf.ts';
export * from './pumpSwap.ts';
export * from './quickTroubles.ts';
export * from './smallestLines.ts';
export * from './thickerWire.ts';
