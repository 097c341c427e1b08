import { type Plain, eachEntry } from './plain.ts';

/** 14: what the position of a fuse carries. */
export const fusePositions = (document: Plain): Plain => ({
  ...document,
  version: 14,
  devices: eachEntry(document['devices'], (device) => ({ ...device, positionLimit: null })),
});
