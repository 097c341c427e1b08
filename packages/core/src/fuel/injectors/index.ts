export * from './formulas.ts';
export * from './matchedSet.ts';
export * from './injection.ts';
