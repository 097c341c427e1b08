import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { type RoutePath, shapeOf } from '../geometry/path.ts';
import type { Vector } from '../geometry/vector.ts';
import { checkWay, faultsOf } from './around.ts';
import { askedByEdge, askedByHeat, askedByMovement } from './asked.ts';
import { nearOf, nearestObstacles } from './nearestObstacles.ts';
import { type Obstacle, type ObstacleShape, obstacle } from './obstacle.ts';

const pathOf = (radius: number, ...places: readonly Vector[]): RoutePath => {
  const shape = shapeOf(places.map((at) => ({ at, radius })));
  if (!shape.ok) throw new Error('no path');
  return shape.path;
};
const thing = (shape: ObstacleShape, parts: Partial<Obstacle> = {}): Obstacle =>
  obstacle({
    kind: 'hot',
    id: 'thing',
    name: 'Thing',
    shape,
    travel: 0,
    asks: 0.1,
    asksOfSleeved: 0.05,
    ...parts,
  });
const rod = (from: Vector, to: Vector, radius: number): ObstacleShape => ({
  kind: 'rod',
  points: [from, to],
  radius,
});
const bare = { outsideDiameter: 0.016, sleeve: false };
const along = pathOf(0.1, [0, 0, 0.5], [2, 0, 0.5]);

describe('room that is asked', () => {
  test('from heat: 100 mm bare, 50 in a sleeve, twice from a turbine, none up to 60 °C', () => {
    const asked = (temperature: number, turbine: boolean, sleeve: boolean): number =>
      askedByHeat({ temperature, turbine, sleeve });
    expect(asked(700, false, false)).toBe(0.1);
    expect(asked(700, false, true)).toBe(0.05);
    expect(asked(700, true, false)).toBe(0.2);
    expect(asked(333, false, false)).toBe(0);
    expect(asked(334, false, false)).toBe(0.1);
  });

  test('from movement and edges', () => {
    expect(askedByMovement({ travel: 0, whips: false })).toBe(0.025);
    expect(askedByMovement({ travel: 0.06, whips: false })).toBe(0.05);
    expect(askedByMovement({ travel: 0, whips: true })).toBe(0.05);
    expect(askedByEdge({ covered: false })).toBe(0.012);
    expect(askedByEdge({ covered: true })).toBe(0);
  });
});

describe('what was checked before', () => {
  const wall = (id: string, y: number): Obstacle =>
    thing(
      {
        kind: 'rod',
        points: [
          [1, y, 0.5],
          [1, y, 0.9],
        ],
        radius: 0.02,
      },
      { id },
    );

  test('is found again for the same way and thing, and is anew for any other', () => {
    const things = [wall('left', 0.3), wall('right', -0.4)];
    const before = nearestObstacles(along, things, bare).hot!;
    expect(before.id).toBe('left');
    expect(nearestObstacles(along, things, { ...bare }).hot).toBe(before);
    const thick = nearestObstacles(along, things, { ...bare, outsideDiameter: 0.03 }).hot!;
    expect(before.clearance - thick.clearance).toBeCloseTo(0.007, 12);
    const moved = nearestObstacles(along, [wall('left', 0.5), things[1]!], bare).hot!;
    expect(moved.id).toBe('right');
    const other = pathOf(0.1, [0, 0.1, 0.5], [2, 0.1, 0.5]);
    expect(nearestObstacles(other, things, bare).hot!.clearance).toBeCloseTo(
      before.clearance - 0.1,
      12,
    );
    expect(nearestObstacles(along, things, bare).hot).toBe(before);
  });
});

describe('clearance', () => {
  test('is between skins, less all movement', () => {
    const shaft = thing(rod([1, 0.3, 0.5], [1, 0.9, 0.5], 0.045), { travel: 0.06 });
    const near = nearOf(along, shaft, bare)!;
    expect(near.clearance).toBeCloseTo(0.3 - 0.045 - 0.06 - 0.008, 12);
    expect(near.margin).toBeCloseTo(near.clearance - 0.1, 12);
    expect(nearOf(along, shaft, { ...bare, sleeve: true })!.needed).toBe(0.05);
  });

  test('to a box is to its nearest face, edge or corner', () => {
    const box = thing({ kind: 'box', box: { low: [0.5, 0.2, 0.7], high: [1, 0.4, 1] } });
    expect(nearOf(along, box, bare)!.clearance).toBeCloseTo(Math.hypot(0.2, 0.2) - 0.008, 12);
  });

  test('of a line from the solid it is fastened to begins where it has left it', () => {
    const tank = { kind: 'box', box: { low: [-1, -1, 0], high: [0.3, 1, 1] } } as const;
    const solid = thing(tank, { kind: 'solid', asks: 0 });
    const near = nearOf(along, solid, bare)!;
    expect(near.from).toBeCloseTo(0.3 + bare.outsideDiameter, 6);
    expect(near.margin).toBeGreaterThan(0);
    const back = pathOf(0.1, [0, 0, 0.5], [2, 0, 0.5], [2, 0.5, 0.5], [0, 0.5, 0.5], [0, 0.5, 2]);
    expect(nearOf(back, solid, bare)!.margin).toBeLessThan(0);
    const within = pathOf(0, [-0.5, 0, 0.5], [0.1, 0, 0.5]);
    expect(nearOf(within, solid, bare)).toBeUndefined();
  });

  test('of many things the worst of each kind is told, as if all had been looked at', () => {
    const place = fc.double({ min: -2, max: 2, noNaN: true });
    const where = fc.tuple(place, place, place);
    fc.assert(
      fc.property(fc.array(fc.tuple(where, where), { minLength: 1, maxLength: 25 }), (rods) => {
        const things = rods.map(([a, b], i) =>
          thing(rod(a, b, 0.02), {
            id: `${i}`,
            kind: i % 2 === 0 ? 'hot' : 'moving',
            asks: 0.03 * (i % 4),
          }),
        );
        const path = pathOf(0.1, [-1, 0, 0], [1, 0, 0], [1, 1, 0]);
        const found = nearestObstacles(path, things, bare);
        for (const kind of ['hot', 'moving'] as const) {
          const margins = things
            .filter((t) => t.kind === kind)
            .map((t) => nearOf(path, t, bare)!.margin);
          if (margins.length === 0) expect(found[kind]).toBeUndefined();
          else {
            // Boxes that lie in one another are parted to the micrometre.
            const apart = Math.abs(found[kind]!.margin - Math.min(...margins));
            expect(apart).toBeLessThan(2e-6);
          }
        }
      }),
      { numRuns: 60 },
    );
  });

  test('of two that a line goes through the one that it goes deeper into is told', () => {
    const path = pathOf(0, [-1, 0, 0], [1, 0, 0]);
    const through = (id: string, offset: number): Obstacle =>
      thing(rod([0, offset, -1], [0, offset, 1], 0.02), { id });
    const [shallow, deep] = [through('shallow', 0.015), through('deep', 0)];
    for (const things of [
      [shallow, deep],
      [deep, shallow],
    ]) {
      const found = nearestObstacles(path, things, bare);
      expect(found.hot?.id).toBe('deep');
      expect(found.hot?.margin).toBeCloseTo(nearOf(path, deep, bare)!.margin, 12);
    }
  });
});

describe('what a way meets', () => {
  const plane = { corner: [1, -1, 0], next: [1, 1, 0], other: [1, -1, 2] } as const;
  const holes = [
    { id: 'wide', name: 'Wide', centre: [1, 0.004, 0.5], bore: 0.03, fitted: 'grommet' },
    { id: 'far', name: 'Far', centre: [1, 0.5, 0.5], bore: 0.03, fitted: 'none' },
  ] as const;
  const around = {
    obstacles: [],
    sheets: [{ id: 'wall', name: 'Wall', seals: false, plane, holes }],
    spaces: [
      {
        id: 'cab',
        name: 'Cab',
        use: 'cabin' as const,
        box: { low: [1.5, -1, 0], high: [3, 1, 1] } as const,
      },
    ],
    lowestAllowed: 0.3,
  };

  test('a hole is met with the room it leaves around the line', () => {
    const [crossing] = checkWay(along, around, bare).crossings;
    expect(crossing!.hole!.id).toBe('wide');
    expect(crossing!.room).toBeCloseTo(0.015 - 0.004 - 0.008, 12);
  });

  test('metal is met where no hole is near', () => {
    const path = pathOf(0, [0, 0.2, 0.5], [1.2, 0.2, 0.5]);
    const check = checkWay(path, around, bare);
    expect(check.crossings[0]!.hole).toBeUndefined();
    expect(faultsOf(check, around)).toEqual([{ kind: 'sheet', id: 'wall' }]);
  });

  test('length in the cabin and the lowest place of the skin are told', () => {
    const check = checkWay(along, around, bare);
    expect(check.passages).toMatchObject([{ length: 0.5 }]);
    expect(check.lowest).toBeCloseTo(0.492, 12);
    expect(faultsOf(check, { lowestAllowed: 0.495 })).toEqual([
      { kind: 'cabin', id: 'cab' },
      { kind: 'low', id: '' },
    ]);
  });
});
