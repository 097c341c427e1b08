export * from './demoBuilds.ts';
export * from './grownBuild.ts';
export * from './kittiwake.ts';
export * from './lantern.ts';
export * from './sampleCatalogue.ts';
export * from './sandpiper.ts';
export * from './supplyNetwork.ts';
