export * from './autoRoute.ts';
export * from './movedPoints.ts';
export type { LineToLead } from './costField.ts';
export * from './proposalInput.ts';
export * from './wayAsPoints.ts';
export * from './waysOfLine.ts';
