export * from './circuitParts.ts';
export * from './returnAfterRail.ts';
export * from './returnAtTank.ts';
