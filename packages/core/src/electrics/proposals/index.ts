export * from './usualConnections.ts';
export * from './usualDevices.ts';
export * from './schools.ts';
export { newFuse } from './newFuse.ts';
