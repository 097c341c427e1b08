import { entryAt, sum } from '../../numerics/index.ts';
import { defineFormula } from '../../results/index.ts';

/** A wire lies a little longer in its bundle than the bundle is. */
export const LIES_LONGER = 1.02;
/** Each breakout that a wire runs through takes so much of it, m. */
export const PER_BREAKOUT = 0.015;
/** Wires are cut in steps of, m. */
export const CUT_STEP = 0.01;

/** Up to the next step that a wire is cut in. */
const upToStep = (length: number): number => Math.ceil(length / CUT_STEP - 1e-9) * CUT_STEP;

export const wireInHarness = defineFormula({
  name: 'length of a wire in the harness',
  notation: 'L = ⌈1.02 · k twist · k lay · Σ s·l + Σ s·loop + Σ ends + 15 mm · breakouts⌉ to 10 mm',
  kind: 'length',
  inputKinds: {
    segments: 'length',
    shares: 'ratio',
    loops: 'length',
    twist: 'ratio',
    lay: 'ratio',
    ends: 'length',
    breakouts: 'count',
  },
  source:
    'way along the segments, 2 % for lying in the bundle, ends to strip, crimp and serve, rounded up to 10 mm',
  compute: (i: {
    segments: readonly number[];
    shares: readonly number[];
    loops: readonly number[];
    twist: number;
    lay: number;
    ends: readonly number[];
    breakouts: number;
  }) => {
    const shared = (values: readonly number[]): number =>
      sum(values.map((value, at) => value * entryAt(i.shares, at)));
    return upToStep(
      LIES_LONGER * i.twist * i.lay * shared(i.segments) +
        shared(i.loops) +
        sum(i.ends) +
        PER_BREAKOUT * i.breakouts,
    );
  },
});

export const bestSegmentLength = defineFormula({
  name: 'length of a segment',
  notation: 'l = measured with a string, else along its route on the map',
  kind: 'length',
  inputKinds: { known: 'length' },
  source: 'first of what is known, best first',
  compute: (i: { known: readonly number[] }) => entryAt(i.known, 0),
});

export const wireInLeg = defineFormula({
  name: 'length of a wire in a bought leg',
  notation: 'L = length of the leg',
  kind: 'length',
  inputKinds: { leg: 'length' },
  source: 'the wires of a bought loom are as long as their leg',
  compute: (i) => i.leg,
});

export const wireAsCut = defineFormula({
  name: 'length of a wire that is cut',
  notation: 'L = as cut',
  kind: 'length',
  inputKinds: { cut: 'length' },
  source: 'a wire that is cut keeps its length, whatever is moved afterwards',
  compute: (i) => i.cut,
});

export const lengthFormulas = [wireInHarness, bestSegmentLength, wireInLeg, wireAsCut];
