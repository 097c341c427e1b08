export type * from './checked.ts';
export * from './commands/index.ts';
export * from './figureNames.ts';
export * from './netlist/index.ts';
export * from './network/index.ts';
export * from './power/index.ts';
export * from './rules/index.ts';
export * from './solver/index.ts';
export * from './pins/index.ts';
