export * from './caseResults.ts';
export * from './fluidResults.ts';
export * from './rowSystemResults.ts';
