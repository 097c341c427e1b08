import 'reflect-metadata';

export * from './commandIssues.ts';
export * from './documentIssues.ts';
export * from './editIssues.ts';
export * from './fields/fieldProblem.ts';
export * from './fields/quantityProblem.ts';
export * from './fields/schemaOf.ts';
export * from './fields/specIssues.ts';
export * from './issue.ts';
export * from './itemIssues.ts';
export * from './messageIssues.ts';
export * from './messages/buildMessages.ts';
export * from './messages/catalogueMessages.ts';
export * from './messages/editMessages.ts';
export type * from './messages/replies.ts';
export * from './readBuildFile.ts';
export * from './safeJson.ts';
export * from './sheets/index.ts';
