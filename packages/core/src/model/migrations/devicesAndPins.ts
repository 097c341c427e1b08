import { type Plain, eachEntry, plain } from './plain.ts';

/** 10: devices, controllers, wires found on the vehicle, grounds; an older build has none of its own. */
export const devicesAndPins = (document: Plain): Plain => ({
  ...document,
  version: 10,
  power: {
    ...plain(document['power']),
    ecuConnections: {},
    negativeGroundId: null,
    pumpFeeds: eachEntry(plain(document['power'])['pumpFeeds'], (feed) => ({
      ...feed,
      triggerPin: '',
    })),
  },
  devices: {},
  controllers: {},
  vehicleSignals: {},
  grounds: {},
});
