export * from './elementKind.ts';
export * from './elementKinds.ts';
export * from './elementState.ts';
export { lineGeometry } from './line.ts';
export { sharedSupply } from './pump.ts';
export { lossesOn } from './line.ts';
