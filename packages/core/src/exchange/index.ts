export * from './buildFile.ts';
export * from './fieldsDocument.ts';
export * from './samples/index.ts';
export * from './partsList.ts';
export * from './switchingList.ts';
export * from './cutList.ts';
export * from './wireList.ts';
export * from './fileTypes.ts';
