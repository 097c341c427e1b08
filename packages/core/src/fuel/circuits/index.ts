export * from './circuitEdits.ts';
export * from './circuitProblems.ts';
export * from './circuitRun.ts';
export * from './circuitSheet.ts';
