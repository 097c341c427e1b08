export * from './autoRoute.ts';
export type { LineToLead } from './costField.ts';
export * from './proposalInput.ts';
export * from './wayAsPoints.ts';
export * from './waysOfLine.ts';
