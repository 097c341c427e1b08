import { quantity } from '../../quantities/index.ts';
import { type Plain, eachEntry, plain } from './plain.ts';

/** 17: pieces that are spliced into wires that were cut too short. */
export const splicedPieces = (document: Plain): Plain => {
  const harness = plain(document['harness']);
  return {
    ...document,
    version: 17,
    harness: {
      ...harness,
      cut: eachEntry(harness['cut'], (wire) => ({ ...wire, spliced: quantity(0, 'length', 'mm') })),
    },
  };
};
