import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { kittiwake, lantern, sandpiper } from '../../exchange/index.ts';
import { type BuildDocument, readBuild } from '../../model/index.ts';
import { pointToBox } from '../geometry/distances.ts';
import { shapeOf } from '../geometry/path.ts';
import type { Vector } from '../geometry/vector.ts';
import { type Obstacle, type VehicleAround, checkWay, obstacle } from '../obstacles/index.ts';
import { type AutoRouteInput, autoRoute, stopsWay, waysBetween } from './autoRoute.ts';
import { autoRouteInput } from './proposalInput.ts';
import { evaluated } from '../../tests/evaluated.ts';

const line = {
  from: [0, 0, 0.4],
  to: [2, 0.3, 0.6],
  outsideDiameter: 0.016,
  radius: 0.08,
  sleeve: false,
  fuel: true,
} as const;
const bare: VehicleAround = { obstacles: [], sheets: [], spaces: [], lowestAllowed: 0.2 };
const bounds = { low: [-1, -0.8, 0], high: [3, 0.8, 1.4] } as const;
const inputOf = (around: Partial<VehicleAround>, parts: Partial<AutoRouteInput> = {}) => ({
  line,
  around: { ...bare, ...around },
  mountingLines: [],
  bounds,
  ...parts,
});
const box = (low: Vector, high: Vector, kind: 'solid' | 'moving' = 'solid') =>
  obstacle({
    kind,
    id: `${low.join()}`,
    name: 'Box',
    shape: { kind: 'box', box: { low, high } },
    travel: 0,
    asks: kind === 'moving' ? 0.05 : 0,
    asksOfSleeved: 0,
  });

/** Whether a thing leaves both ends of the line what it asks: where it does not, no way does. */
const leavesEndsRoom = ({ bounds: room, asks }: Obstacle): boolean =>
  [line.from, line.to].every(
    (end) => pointToBox(end, room).distance > asks + line.outsideDiameter / 2,
  );

/** Checks a way as the map would: it runs from port to port and nothing stops it. */
function expectSound(
  way: { readonly corners: readonly { at: Vector; radius: number }[] },
  input: AutoRouteInput,
) {
  const shape = shapeOf([
    { at: input.line.from, radius: 0 },
    ...way.corners,
    { at: input.line.to, radius: 0 },
  ]);
  expect(shape.ok).toBe(true);
  if (!shape.ok) return;
  const check = checkWay(shape.path, input.around, input.line);
  for (const { margin } of Object.values(check.near)) expect(margin).toBeGreaterThan(-1e-9);
  for (const { room } of check.crossings) expect(room).toBeGreaterThanOrEqual(0);
  for (const bend of shape.path.bends) expect(bend.radius).toBeCloseTo(input.line.radius, 9);
}

describe('a way looked for', () => {
  test('where nothing is in the way is straight', () => {
    const [way] = waysBetween(inputOf({}));
    expect(way!.corners).toEqual([]);
    expect(way!.length).toBeCloseTo(Math.hypot(2, 0.3, 0.2), 12);
  });

  test('goes round a wall, and is hardly longer than the shortest way round', () => {
    const wall = box([0.9, -0.8, 0], [1, 0.5, 1.4]);
    const input = inputOf({ obstacles: [wall] });
    const ways = waysBetween(input);
    expect(ways.length).toBeGreaterThan(0);
    ways.forEach((way) => expectSound(way, input));
    const edge: Vector = [0.95, 0.51, 0.5];
    const shortest = Math.hypot(0.95, edge[1], 0.1) + Math.hypot(1.05, edge[1] - line.to[1], 0.1);
    expect(Math.min(...ways.map((way) => way.length))).toBeLessThan(1.3 * shortest);
  });

  test('goes through the hole of a sheet, in its middle, and nowhere where there is none', () => {
    const plane = { corner: [1, -0.8, 0], next: [1, 0.8, 0], other: [1, -0.8, 1.4] } as const;
    const hole = {
      id: 'hole',
      name: 'Hole',
      centre: [1, -0.437, 0.713] as const,
      bore: 0.022,
      fitted: 'grommet' as const,
    };
    const sheet = { id: 'wall', name: 'Wall', seals: false, plane, holes: [hole] };
    const input = inputOf({ sheets: [sheet] });
    const ways = waysBetween(input);
    expect(ways.length).toBeGreaterThan(0);
    for (const way of ways) {
      expectSound(way, input);
      expect(way.holes).toEqual(['Hole']);
    }
    expect(waysBetween(inputOf({ sheets: [{ ...sheet, holes: [] }] }))).toEqual([]);
    const narrow = { ...hole, bore: 0.012 };
    expect(waysBetween(inputOf({ sheets: [{ ...sheet, holes: [narrow] }] }))).toEqual([]);
  });

  test('stays out of the cabin with fuel, and above what protects it', () => {
    const cabin = {
      id: 'cab',
      name: 'Cab',
      use: 'cabin' as const,
      box: { low: [0.5, -0.8, 0.3] as const, high: [1.5, 0.8, 0.9] as const },
    };
    const input = inputOf({ spaces: [cabin] });
    for (const way of waysBetween(input)) {
      expectSound(way, input);
      expect(way.faults).toEqual([]);
      expect(way.lowest).toBeGreaterThanOrEqual(0.2);
    }
    expect(waysBetween(input).length).toBeGreaterThan(0);
  });

  test('prefers a mounting line that lies a little aside', () => {
    const mm = (value: number) => ({ value, unit: 'mm' });
    const at = (x: number, y: number, z: number) => ({ x: mm(x), y: mm(y), z: mm(z) });
    const rail = {
      name: 'Rail',
      from: at(-1, 0, 0.4),
      to: at(3, 0, 0.4),
      clipPitch: null,
      id: 'r',
    };
    const blocked = { obstacles: [box([0.9, -0.05, 0.44], [1.1, 0.8, 1.4])] };
    const [way] = waysBetween(inputOf(blocked, { mountingLines: [rail] }));
    expect(way!.onRails).toBeGreaterThan(0.7);
  });

  test('is not found where there is none, and then none is offered', () => {
    const closed = box([1.9, 0.1, 0.3], [2.1, 0.5, 0.9], 'moving');
    expect(waysBetween(inputOf({ obstacles: [closed] }))).toEqual([]);
  });

  test('two that are offered differ by side, height or hole', () => {
    const wall = box([0.9, -0.4, 0], [1, 0.4, 0.9]);
    const ways = waysBetween(inputOf({ obstacles: [wall] }));
    expect(ways.length).toBeGreaterThan(1);
    expect(ways.length).toBeLessThanOrEqual(3);
    ways.forEach((way, i) => {
      for (const other of ways.slice(i + 1)) {
        const higher = Math.abs(way.middle[2] - other.middle[2]) > 0.1;
        expect(higher || way.side !== other.side || way.holes.join() !== other.holes.join()).toBe(
          true,
        );
      }
    });
  });

  test('among boxes put anywhere never goes through one, nor nearer to what moves than it asks', () => {
    const along = fc.double({ min: 0.2, max: 1.7, noNaN: true });
    const across = fc.double({ min: -0.7, max: 0.6, noNaN: true });
    const up = fc.double({ min: 0.1, max: 1, noNaN: true });
    const size = fc.double({ min: 0.05, max: 0.5, noNaN: true });
    const boxes = fc.array(fc.tuple(along, across, up, size, fc.boolean()), { maxLength: 6 });
    fc.assert(
      fc.property(boxes, (parts) => {
        const obstacles = parts
          .map(([x, y, z, s, moves]) =>
            box([x, y, z], [x + s / 2, y + s, z + s], moves ? 'moving' : 'solid'),
          )
          .filter(leavesEndsRoom);
        const input = inputOf({ obstacles });
        // The first search of the five says whether any of them may offend.
        const step = autoRoute(input).next();
        if (!step.done) step.value.ways.forEach((way) => expectSound(way, input));
      }),
      { numRuns: 25 },
    );
  });
});

describe.each([
  ['Lantern', lantern],
  ['Sandpiper', sandpiper],
  ['Kittiwake', kittiwake],
] as const)('on %s', (_name, document: BuildDocument) => {
  const { map } = evaluated(document);
  const build = readBuild(document);

  test('every line has a way that no check stops', () => {
    for (const routed of map.lines) {
      if (routed.carries !== 'fuel') continue;
      const input = autoRouteInput({
        line: routed,
        around: { ...map.around, obstacles: [...map.around.obstacles, ...map.cables] },
        mountingLines: build.mountingLines,
        vehicle: build.vehicle,
      })!;
      const step = autoRoute(input).next();
      const ways = step.done ? step.value : step.value.ways;
      expect(ways.length, routed.lineId).toBeGreaterThan(0);
      for (const way of ways) {
        const shape = shapeOf([
          { at: input.line.from, radius: 0 },
          ...way.corners,
          { at: input.line.to, radius: 0 },
        ]);
        expect(shape.ok).toBe(true);
        if (!shape.ok) continue;
        const check = checkWay(shape.path, input.around, input.line);
        expect(way.faults.filter((fault) => stopsWay(fault, check))).toEqual([]);
      }
    }
  });
});
