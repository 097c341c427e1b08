import type { Plain } from './plain.ts';

/** 15: where the harness runs. */
export const harnessAdded = (document: Plain): Plain => ({
  ...document,
  version: 15,
  harness: {
    school: 'taped',
    massBudget: null,
    breakouts: {},
    segments: {},
    splices: {},
    colours: {},
  },
});
