export * from './autoRoute.ts';
export * from './movedPoints.ts';
export type { LineToLead } from './costField.ts';
export * from './grid.ts';
export * from './proposalInput.ts';
export { straightened } from './straightened.ts';
export { costField } from './costField.ts';
export * from './wayAsPoints.ts';
export * from './waysOfLine.ts';
