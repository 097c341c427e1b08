import { type Plain, plain } from './plain.ts';

/** 10: devices, controllers, wires found on the vehicle, grounds; an older build has none of its own. */
export const devicesAndPins = (document: Plain): Plain => ({
  ...document,
  version: 10,
  power: { ...plain(document['power']), ecuConnections: {}, negativeGroundId: null },
  devices: {},
  controllers: {},
  vehicleSignals: {},
  grounds: {},
});
