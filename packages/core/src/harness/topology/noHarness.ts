import type { Harness } from '../../model/index.ts';

/** A build whose wires nobody has led yet. */
export const NO_HARNESS: Harness = {
  school: 'taped',
  massBudget: null,
  breakouts: [],
  segments: [],
  splices: [],
  colours: [],
  bought: [],
  cut: [],
  repinned: [],
};
