export type * from './checked.ts';
export * from './commands/index.ts';
export * from './demand/index.ts';
export * from './figureNames.ts';
export * from './fuels/index.ts';
export * from './inductionInWords.ts';
export * from './rules/index.ts';
export * from './wordsAgainstBrief.ts';
