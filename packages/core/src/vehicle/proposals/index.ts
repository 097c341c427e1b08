export * from './firstVehicle.ts';
