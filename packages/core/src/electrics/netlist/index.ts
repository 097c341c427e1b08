export * from './buildNetlist.ts';
export type * from './derivedWire.ts';
export * from './netlist.ts';
export { feedPartIds, sharedPartIds } from './pumpFeedParts.ts';
export * from './terminal.ts';
