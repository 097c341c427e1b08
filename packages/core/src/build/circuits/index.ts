export * from './architectureNotes.ts';
export * from './circuitDraft.ts';
export * from './circuitParts.ts';
export * from './layOut.ts';
export * from './newElement.ts';
export * from './returnAfterRail.ts';
export * from './returnAtTank.ts';
export * from './twinPumps.ts';
