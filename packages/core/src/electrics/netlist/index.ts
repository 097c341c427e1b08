export * from './buildNetlist.ts';
export type * from './derivedWire.ts';
export { halvesOf } from './inlineConnectors.ts';
export * from './netlist.ts';
export * from './regions.ts';
export { sharedPartIds } from './sharedPartIds.ts';
export * from './terminal.ts';
