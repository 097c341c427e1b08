export * from './outline.ts';
export * from './usualVehicle.ts';
export * from './bareVehicle.ts';
