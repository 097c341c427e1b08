export * from './usualConnections.ts';
export * from './usualDevices.ts';
