export * from './making/makingSheet.ts';
export * from './making/wireEnds.ts';
export * from './recheck/buzzOut.ts';
export * from './recheck/foundAtVehicle.ts';
export * from './recheck/secondReading.ts';
export * from './record/recordEntry.ts';
