export * from './lantern.ts';
export * from './sampleCatalogue.ts';
