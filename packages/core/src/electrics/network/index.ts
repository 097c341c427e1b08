export type * from './caseVoltages.ts';
export * from './electricCases.ts';
export * from './electricStage.ts';
export type { SizedFuse } from './fuseChoices.ts';
export { criterionNumber } from './networkFigures.ts';
export type { Protection } from './protection.ts';
export * from './pumpSupply.ts';
export type { SizedNetwork, SizedRun } from './sizeNetwork.ts';
export type { WiringBuild } from './wiringBuild.ts';
