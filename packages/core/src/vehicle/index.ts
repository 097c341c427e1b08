export * from './body/index.ts';
export * from './geometry/index.ts';
export * from './obstacles/index.ts';
export * from './places/index.ts';
export * from './routes/index.ts';
export * from './rules/index.ts';
export * from './things/index.ts';
export type * from './checked.ts';
