import { type Plain, eachEntry } from './plain.ts';

/** 16: what leads through connectors. */
export const harnessAsBuilt = (document: Plain): Plain => ({
  ...document,
  version: 16,
  devices: eachEntry(document['devices'], (device) => ({ ...device, ways: {} })),
});
