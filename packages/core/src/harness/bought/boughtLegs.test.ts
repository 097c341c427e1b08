import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import type { BoughtLeg, Harness, Placement } from '../../model/index.ts';
import {
  atBreakout,
  atPlace,
  breakout,
  leg,
  segment,
} from '../../exchange/samples/harnessShorthand.ts';
import { place } from '../../exchange/samples/shorthand.ts';
import { ledHarness } from '../lengths/ledHarness.ts';
import { NO_HARNESS } from '../topology/noHarness.ts';

/** A trunk along x from the plug at 0 over breakouts at 400, 900 and 1500 mm, with a branch at each. */
const placements: readonly Placement[] = [
  place('plug', 'Plug', [0, 0, 0], 'body'),
  place('near', 'Near', [400, 300, 0], 'body'),
  place('middle', 'Middle', [600, 0, 300], 'body'),
  place('far', 'Far', [1500, -500, 0], 'body'),
  place('off', 'Off', [0, 0, 900], 'body'),
];
const harnessWith = (legs: readonly BoughtLeg[], loop = 0): Harness => ({
  ...NO_HARNESS,
  breakouts: [
    breakout('a', 'A', [400, 0, 0]),
    breakout('b', 'B', [900, 0, 0]),
    breakout('c', 'C', [1500, 0, 0]),
  ],
  segments: [
    segment('t1', 'T1', [atPlace('plug'), atBreakout('a')]),
    segment('t2', 'T2', [atBreakout('a'), atBreakout('b')]),
    segment('t3', 'T3', [atBreakout('b'), atBreakout('c')]),
    segment('near', 'Near', [atBreakout('a'), atPlace('near')], [], { loop }),
    // Back and up from its breakout: 300 mm and 300 mm.
    segment('middle', 'Middle', [atBreakout('b'), atPlace('middle')]),
    segment('far', 'Far', [atBreakout('c'), atPlace('far')]),
  ],
  bought: [{ id: 'loom', name: 'Loom', placementId: 'plug', price: null, legs }],
});
const led = (legs: readonly BoughtLeg[], loop = 0) => {
  const netlist = { parts: [], wires: [] };
  const harness = harnessWith(legs, loop);
  return ledHarness({ netlist, harness, placements, hardPoints: [] }).legs;
};
const far = leg('far', 'Far', 'far', 2200, 1500, 'square');

describe('a leg of a loom that is bought', () => {
  test('needs 2 % more than its way, and the loops on it', () => {
    const near = leg('near', 'Near', 'near', 800, 400, 'square');
    const [found] = led([near, far], 80);
    expect(found!.needed!.value).toBeCloseTo(1.02 * (0.4 + 0.3) + 0.08, 9);
    expect(found!.slack!.value).toBeCloseTo(0.8 - 1.02 * 0.7 - 0.08, 9);
    expect(found!.shared).toBeCloseTo(0.4, 9);
  });

  test('that leaves the trunk too far out comes back that far', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 1500 }), (leavesAt) => {
        const near = leg('near', 'Near', 'near', 800, leavesAt, 'square');
        const [found] = led([near, far]);
        const back = Math.max(0, leavesAt / 1e3 - 0.4);
        expect(found!.needed!.value).toBeCloseTo(1.02 * (0.7 + 2 * back), 9);
      }),
      { numRuns: 40 },
    );
  });

  test('turns off square, back or on along the trunk, as the map has it', () => {
    const legs = [
      leg('near', 'Near', 'near', 800, 400, 'square'),
      leg('middle', 'Middle', 'middle', 1500, 900, 'square'),
      far,
    ];
    expect(led(legs).map(({ turns }) => turns)).toEqual(['square', 'back', undefined]);
  });

  test('to where nothing leads needs no length that is known', () => {
    const [found] = led([leg('off', 'Off', 'off', 800, 0, 'square')]);
    expect(found).toMatchObject({ way: undefined, needed: undefined, slack: undefined });
  });

  test('that is made longer has so much more slack', () => {
    const near = leg('near', 'Near', 'near', 500, 400, 'square');
    const slack = (changed: number): number =>
      led([{ ...near, changed: { value: changed, unit: 'mm' } }, far])[0]!.slack!.value;
    expect(slack(0)).toBeLessThan(0);
    expect(slack(0.3) - slack(0)).toBeCloseTo(0.3, 9);
    expect(slack(0.3)).toBeGreaterThan(0);
  });
});
