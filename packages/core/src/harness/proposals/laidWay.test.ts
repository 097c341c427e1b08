import { describe, expect, test } from 'vitest';
import {
  type Obstacle,
  type Vector,
  type VehicleAround,
  checkWay,
  faultsOf,
  obstacle,
  shapeOf,
} from '../../vehicle/index.ts';
import { laidWay, lengthOf } from './laidWay.ts';

const block = (low: Vector, high: Vector): Obstacle =>
  obstacle({
    kind: 'solid',
    id: 'block',
    name: 'Block',
    shape: { kind: 'box', box: { low, high } },
    travel: 0,
    asks: 0,
    asksOfSleeved: 0,
  });
const around = (...obstacles: readonly Obstacle[]): VehicleAround => ({
  obstacles,
  sheets: [],
  spaces: [],
  lowestAllowed: -10,
});
/** Places on a straight from one to another, a cell apart. */
const cells = (from: Vector, to: Vector, count: number): Vector[] =>
  Array.from({ length: count + 1 }, (_, i) =>
    from.map((value, axis) => value + ((to[axis]! - value) * i) / count),
  ) as unknown as Vector[];
const THICK = 0.016;

const isClear = (way: ReturnType<typeof laidWay>['points'], of: VehicleAround): boolean => {
  const shape = shapeOf(way);
  if (!shape.ok) return false;
  return (
    faultsOf(checkWay(shape.path, of, { outsideDiameter: THICK, sleeve: false }), of).length === 0
  );
};

describe('a way over cells as it is laid', () => {
  test('is straight where nothing stands between its ends', () => {
    const { points: way, faults } = laidWay(cells([0, 0, 1], [1, 0.3, 1], 20), THICK, around());
    expect(way.map(({ at }) => at)).toEqual([
      [0, 0, 1],
      [1, 0.3, 1],
    ]);
    expect(faults).toBe(0);
  });

  test('says what is left on it that nothing mends: a wall with no hole', () => {
    const deep = around(block([0.4, -5, -5], [0.6, 5, 5]));
    const { points, faults } = laidWay(cells([0, 0, 1], [1, 0, 1], 20), THICK, deep);
    expect(isClear(points, deep)).toBe(false);
    expect(faults).toBeGreaterThan(0);
  });

  test('goes round what the cells go round, and bends there as wide as it goes', () => {
    const wall = around(block([0.4, -0.2, 0.8], [0.6, 0.2, 1.2]));
    const places = [
      ...cells([0, 0, 1], [0.3, 0.3, 1], 6),
      ...cells([0.35, 0.3, 1], [0.7, 0.3, 1], 7),
      ...cells([0.75, 0.25, 1], [1, 0, 1], 5),
    ];
    const { points: way, faults } = laidWay(places, THICK, wall);
    expect(way.length).toBeGreaterThan(2);
    expect(isClear(way, wall)).toBe(true);
    expect(faults).toBe(0);
    expect(lengthOf(way)).toBeLessThan(lengthOf(places.map((at) => ({ at, radius: 0 }))) + 1e-9);
    expect(way.slice(1, -1).some(({ radius }) => radius > 0)).toBe(true);
  });

  test('that only grazes something is led past it, its ends as they are', () => {
    // The cells pass 3 mm over the top: less than half of the bundle.
    const table = around(block([0.3, -0.3, 0], [0.7, 0.3, 0.997]));
    const { points: way, faults } = laidWay(cells([0, 0, 1], [1, 0, 1], 20), THICK, table);
    expect(isClear(way, table)).toBe(true);
    expect(faults).toBe(0);
    expect(way[0]!.at).toEqual([0, 0, 1]);
    expect(way.at(-1)!.at).toEqual([1, 0, 1]);
    expect(lengthOf(way)).toBeLessThan(1.01);
    for (const { at } of way.slice(1, -1)) {
      // Corners stand in whole steps of 5 mm.
      for (const value of at)
        expect(Math.abs(value / 0.005 - Math.round(value / 0.005))).toBeLessThan(1e-6);
    }
  });

  test('is not led through the midst of what its cells graze', () => {
    // Past the edge of a block by 2 mm: no way through it is any better.
    const edge = around(block([0.2, -1, 0], [0.8, -0.002, 2]));
    const places = [
      ...cells([0, -0.2, 1], [0.15, 0, 1], 4),
      ...cells([0.2, 0, 1], [0.8, 0, 1], 12),
      ...cells([0.85, 0, 1], [1, -0.2, 1], 4),
    ];
    const { points: way, faults } = laidWay(places, THICK, edge);
    for (const { at } of way.slice(1, -1)) expect(at[1]).toBeGreaterThan(-0.003);
    expect(isClear(way, edge)).toBe(true);
    expect(faults).toBe(0);
  });
});
