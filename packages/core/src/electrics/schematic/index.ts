export * from './drawnSheet.ts';
export * from './layoutSheet.ts';
export * from './schematicSheet.ts';
export * from './schematicSheets.ts';
export * from './systems.ts';
export * from './schematicInk.ts';
