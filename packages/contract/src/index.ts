import 'reflect-metadata';

export * from './commandIssues.ts';
export * from './document/documentModel.ts';
export * from './issue.ts';
export { EditMessage, StepMessage } from './messages/commandModels.ts';
export type * from './messages/replies.ts';
export * from './quantityOf.ts';
export * from './safeJson.ts';
export * from './validateDocument.ts';
