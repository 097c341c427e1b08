export * from './applyCommand.ts';
export * from './catalogue.ts';
export type * from './catalogueItem.ts';
export type * from './command.ts';
export * from './describeCommand.ts';
export * from './document.ts';
export * from './jsonPath.ts';
export * from './patch.ts';
export * from './stableJson.ts';
