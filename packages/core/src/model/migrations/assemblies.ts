import { type Plain, eachEntry } from './plain.ts';

/** 8: lines as they are made, how many of a part lie on the shelf, and what is left of hoses. */
export function assemblies(document: Plain): Plain {
  return {
    ...document,
    version: 8,
    assemblies: {},
    shelf: eachEntry(document['shelf'], (ref) => ({ item: ref, count: 1 })),
    offcuts: {},
  };
}
