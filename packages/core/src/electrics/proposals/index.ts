export * from './usualConnections.ts';
