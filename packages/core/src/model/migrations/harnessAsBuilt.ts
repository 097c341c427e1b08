import { type Plain, eachEntry, plain } from './plain.ts';

/**
 * 16: what leads through connectors, looms with fixed legs, what is made of the harness, kept
 * plugs, colours of wires found. */
export const harnessAsBuilt = (document: Plain): Plain => {
  const harness = plain(document['harness']);
  return {
    ...document,
    version: 16,
    devices: eachEntry(document['devices'], (device) => ({ ...device, ways: {} })),
    vehicleSignals: eachEntry(document['vehicleSignals'], (signal) => ({
      ...signal,
      base: null,
      stripe: null,
    })),
    harness: {
      ...harness,
      segments: eachEntry(harness['segments'], (segment) => ({ ...segment, closed: false })),
      bought: {},
      cut: {},
      repinned: {},
    },
  };
};
