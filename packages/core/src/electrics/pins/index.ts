export * from './allocate.ts';
export * from './allocationProblem.ts';
export * from './assignmentFaults.ts';
export * from './conflictInWords.ts';
export * from './firstAllocation.ts';
export * from './sparePins.ts';
