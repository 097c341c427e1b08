import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { shapeOf } from '../../vehicle/index.ts';
import { HarnessTree, type TreePoint, type TreeSegment } from './harnessTree.ts';
import {
  APART,
  OFF_PLUG,
  type SpliceRoom,
  bestSpliceSite,
  freeStretches,
  spliceCost,
} from './spliceSites.ts';

const trees = fc
  .array(fc.record({ on: fc.nat(), length: fc.double({ min: 0.25, max: 1.5, noNaN: true }) }), {
    minLength: 2,
    maxLength: 8,
  })
  .map((branches) =>
    branches.map(({ on, length }, i): TreeSegment => ({
      id: `s${i}`,
      from: `n${on % (i + 1)}`,
      to: `n${i + 1}`,
      length,
    })),
  );

const roomsOf = (segments: readonly TreeSegment[]): SpliceRoom[] =>
  segments.map(({ id, length }, i) => ({
    id,
    length,
    plugAtFrom: i % 3 === 0,
    plugAtTo: i % 2 === 0,
    path: undefined,
  }));

describe('the place of a splice', () => {
  test('is the best of all places tried one by one', () => {
    const ends = fc.array(
      fc.record({ node: fc.nat(), weight: fc.double({ min: 0.2, max: 4, noNaN: true }) }),
      { minLength: 2, maxLength: 6 },
    );
    fc.assert(
      fc.property(trees, ends, (segments, told) => {
        const tree = new HarnessTree(segments);
        const rooms = roomsOf(segments);
        const wires = told.map(({ node, weight }) => ({
          to: { node: `n${node % (segments.length + 1)}` } as TreePoint,
          weight,
        }));
        const found = bestSpliceSite(tree, rooms, wires);
        let least = Infinity;
        for (const room of rooms) {
          for (const [from, to] of freeStretches(room)) {
            for (let k = 0; k <= 40; k++) {
              const share = (from + (k / 40) * (to - from)) / room.length;
              least = Math.min(least, spliceCost(tree, { segmentId: room.id, share }, wires));
            }
          }
        }
        expect(found!.cost).toBeLessThanOrEqual(least + 1e-9);
        expect(spliceCost(tree, found!, wires)).toBeCloseTo(found!.cost, 9);
      }),
      { numRuns: 60 },
    );
  });

  const bent = shapeOf([
    { at: [0, 0, 0], radius: 0 },
    { at: [0.5, 0, 0], radius: 0.1 },
    { at: [0.5, 0.5, 0], radius: 0 },
  ]);
  const path = bent.ok ? bent.path : undefined;
  const room: SpliceRoom = {
    id: 'bent',
    length: path!.length,
    plugAtFrom: true,
    plugAtTo: false,
    path,
  };

  test('is off the plug, and in no bend', () => {
    const [before, behind, ...others] = freeStretches(room);
    expect(others).toEqual([]);
    expect(before![0]).toBeCloseTo(OFF_PLUG, 12);
    // The bend begins a radius before its corner.
    expect(before![1]).toBeLessThan(0.4);
    expect(behind![0]).toBeGreaterThan(0.4 + (Math.PI / 2) * 0.1);
  });

  test('keeps its distance from another', () => {
    const [first] = freeStretches(room);
    const at = (first![0] + first![1]) / 2;
    for (const [from, to] of freeStretches({ ...room, taken: [at] })) {
      expect(to <= at - APART + 1e-12 || from >= at + APART - 1e-12).toBe(true);
    }
  });

  test('is nowhere in a segment that is all plug', () => {
    expect(freeStretches({ ...room, length: 0.12, plugAtTo: true, path: undefined })).toEqual([]);
  });
});
