import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { type Opening, type ThreadedPlug, threadingOrder } from './threadingOrder.ts';
import { sidesOf } from '../topology/sidesOf.ts';

/** Root – a – b, with a branch to one end at a, and two ends at b. */
const segments = [
  { id: 'trunk', from: 'place root', to: 'breakout a', length: 0.5 },
  { id: 'on', from: 'breakout a', to: 'breakout b', length: 0.7 },
  { id: 'one', from: 'breakout a', to: 'place one', length: 0.2 },
  { id: 'two', from: 'place two', to: 'breakout b', length: 0.3 },
  { id: 'three', from: 'breakout b', to: 'place three', length: 0.4 },
];
const plug = (id: string, diameter: number, fixed = false): ThreadedPlug => ({
  id,
  name: id,
  placementId: id,
  diameter,
  fixed,
});
const sleeve = (segmentId: string, size: number): Opening => ({
  id: `sleeve ${segmentId}`,
  kind: 'sleeve',
  name: segmentId,
  thingId: 'S',
  segmentId,
  size,
});
const order = (openings: readonly Opening[], plugs: readonly ThreadedPlug[]) =>
  threadingOrder({ segments, openings, plugs, rootPlacementId: 'root' });

const free = [plug('root', 0.04), plug('one', 0.02), plug('two', 0.025), plug('three', 0.03)];

describe('the order of threading', () => {
  test('begins next to the root, from the far ends, and leaves what does not pass to the last', () => {
    const { passes, last, anyTime } = order(
      [sleeve('three', 0.022), sleeve('on', 0.028), sleeve('trunk', 0.05), sleeve('one', 0.03)],
      free,
    );
    expect(passes.map(({ opening }) => opening.segmentId)).toEqual(['trunk', 'on', 'one', 'three']);
    expect(passes.every(({ from }) => from === 'far end')).toBe(true);
    expect(last.map(({ id }) => id)).toEqual(['three']);
    expect(anyTime.map(({ id }) => id)).toEqual(['root', 'one', 'two']);
  });

  test('goes on from the root where a plug that is on stands in the way', () => {
    const plugs = [free[0]!, free[1]!, plug('two', 0.025, true), free[3]!];
    const { passes } = order([sleeve('trunk', 0.02), sleeve('on', 0.02)], plugs);
    expect(passes.map(({ opening, from }) => [opening.segmentId, from])).toEqual([
      ['on', 'root'],
      ['trunk', 'root'],
    ]);
    // The plug at the root, and the one of the branch before it, come on after.
    expect(passes[0]!.after.map(({ id }) => id)).toEqual(['root']);
  });

  test('is not to be had where plugs that do not pass are on at both sides', () => {
    const plugs = [plug('root', 0.04, true), free[1]!, plug('two', 0.025, true), free[3]!];
    const [threaded] = order([sleeve('on', 0.02)], plugs).passes;
    expect(threaded!.blockedBy.map(({ id }) => id)).toEqual(['two', 'root']);
    const [wide] = order([sleeve('on', 0.026)], plugs).passes;
    expect(wide!.blockedBy).toEqual([]);
  });

  test('fits every plug that is not on once, and none before an opening that it does not pass', () => {
    const size = fc.double({ min: 0.01, max: 0.06, noNaN: true });
    fc.assert(
      fc.property(
        fc.array(size, { minLength: 4, maxLength: 4 }),
        fc.array(size, { minLength: 5, maxLength: 5 }),
        fc.array(fc.boolean(), { minLength: 4, maxLength: 4 }),
        (diameters, sizes, fixed) => {
          const plugs = ['root', 'one', 'two', 'three'].map((id, i) =>
            plug(id, diameters[i]!, fixed[i]!),
          );
          const openings = segments.map(({ id }, i) => sleeve(id, sizes[i]!));
          const { passes, last, anyTime } = order(openings, plugs);
          expect([...last, ...anyTime].map(({ id }) => id).sort()).toEqual(
            plugs
              .filter((each) => !each.fixed)
              .map(({ id }) => id)
              .sort(),
          );
          expect(passes).toHaveLength(openings.length);
          for (const { opening, from, after, blockedBy } of passes) {
            const [a, b] = sidesOf(opening.segmentId, segments);
            const [near, far] = a.has('place root') ? [a, b] : [b, a];
            const side = from === 'far end' ? far : near;
            const through = plugs.filter(({ placementId }) => side.has(`place ${placementId}`));
            const wide = through.filter(({ diameter }) => diameter > opening.size + 1e-9);
            if (blockedBy.length > 0) expect(wide.some((each) => each.fixed)).toBe(true);
            else expect(after).toEqual(wide);
          }
        },
      ),
    );
  });
});
