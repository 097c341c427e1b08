export * from './geometry/index.ts';
export * from './places/index.ts';
