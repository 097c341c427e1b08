export * from './geometry/index.ts';
export * from './places/index.ts';
export * from './routes/index.ts';
export * from './rules/index.ts';
export type * from './checked.ts';
