export * from './conditions.ts';
export { switchingFormulas } from './formulas.ts';
export * from './switchTable.ts';
export * from './switchedInCases.ts';
export * from './switches.ts';
export * from './switchingSheet.ts';
export * from './switchingStage.ts';
export * from './takenWays.ts';
export * from './vehicleState.ts';
