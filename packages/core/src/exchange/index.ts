export * from './buildFile.ts';
export * from './samples/index.ts';
