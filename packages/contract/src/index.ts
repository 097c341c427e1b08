import 'reflect-metadata';

export * from './commandIssues.ts';
export * from './document/documentModel.ts';
export * from './issue.ts';
export * from './messages/buildMessages.ts';
export * from './messages/catalogueMessages.ts';
export * from './messages/editMessages.ts';
export type * from './messages/replies.ts';
export * from './quantityOf.ts';
export * from './safeJson.ts';
export * from './sheets/index.ts';
export * from './validateDocument.ts';
