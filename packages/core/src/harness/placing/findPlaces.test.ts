import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { kittiwake, lantern, sandpiper } from '../../exchange/index.ts';
import { type BuildDocument, readBuild, withValueAt } from '../../model/index.ts';
import { finished } from '../../numerics/index.ts';
import { type Vector, bodyAt, checkComponent, componentFaults } from '../../vehicle/index.ts';
import { type PlaceWish, type PlacesProgress, findPlaces } from './findPlaces.ts';
import { goesThrough } from './sheetBetween.ts';
import { evaluated } from '../../tests/evaluated.ts';

const mm = (value: number) => ({ value: value / 1e3, unit: 'mm' });

const wishOf = (document: BuildDocument, placementId: string): PlaceWish => {
  const { electrics, led, map } = evaluated(document);
  const build = readBuild(document);
  const own = map.components.find(({ component }) => component.placement.id === placementId)!;
  const { item, servicedFrom } = own.component;
  return {
    ...build,
    placementId,
    body: { ...item, servicedFrom },
    netlist: electrics.netlist,
    segments: led.segments,
    around: map.around,
  };
};
const found = (wish: PlaceWish): PlacesProgress => finished(findPlaces(wish));

describe.each([
  ['Sandpiper', sandpiper],
  ['Kittiwake', kittiwake],
])('places for the ECU of %s', (_, document) => {
  const wish = wishOf(document, 'ecu');
  const { regions, copperNow } = found(wish);

  test('are there, and the best takes no more wire than where it sits now', () => {
    expect(regions.length).toBeGreaterThan(0);
    expect(regions[0]!.best.copper).toBeLessThanOrEqual(1.02 * copperNow);
  });

  test('are all free of what the map finds fault with', () => {
    const place = readBuild(document).placements.find(({ id }) => id === 'ecu')!;
    const obstacles = wish.around.obstacles.filter(
      ({ kind, path }) => !(kind === 'component' && path[1] === 'ecu'),
    );
    for (const { sites } of regions) {
      for (const { at } of sites.slice(0, 20)) {
        const placement = { ...place, x: mm(at[0] * 1e3), y: mm(at[1] * 1e3), z: mm(at[2] * 1e3) };
        const check = checkComponent(
          {
            id: 'ecu',
            name: 'ECU',
            placement,
            item: wish.body,
            body: bodyAt(placement, wish.body),
            carriesFuel: false,
            servicedFrom: wish.body.servicedFrom,
          },
          { ...wish.around, obstacles },
        );
        expect(componentFaults(check, wish.around)).toEqual([]);
      }
    }
  });

  test('are told best first, each region with its own best', () => {
    const copper = regions.map(({ best }) => best.copper);
    expect([...copper].sort((a, b) => a - b)).toEqual(copper);
    for (const { sites, best } of regions) {
      expect(Math.min(...sites.map((site) => site.copper))).toBe(best.copper);
    }
  });
});

describe('places for the ECU of a bought loom', () => {
  /** Lantern with a loom from the ECU whose leg to the dash is so long. */
  const withLeg = (length: number): BuildDocument =>
    withValueAt(lantern, 'harness.bought', {
      main: {
        order: 1000,
        name: 'Main loom',
        placementId: 'ecu',
        price: null,
        legs: {
          dash: {
            order: 1000,
            name: 'Dash',
            placementId: 'dash',
            length: mm(length),
            leavesAt: mm(0),
            leaves: 'square',
            changed: mm(0),
            size: null,
          },
        },
      },
    });

  test('come first where every leg reaches, even for more wire', () => {
    const plenty = found(wishOf(withLeg(6000), 'ecu')).regions;
    expect(plenty[0]!.best).toMatchObject({ reaching: 1, legs: 1 });
    const none = found(wishOf(withLeg(300), 'ecu')).regions;
    expect(none.every(({ best }) => best.reaching === 0)).toBe(true);
  });
});

describe('a straight through a parallelogram', () => {
  const plane = {
    corner: [0, 0, 0],
    next: [2, 0, 0],
    other: [0.5, 1, 0],
  } as const;
  const share = fc.double({ min: 0.01, max: 0.99, noNaN: true });
  const beyond = fc.double({ min: 1.01, max: 3, noNaN: true });

  test('goes through it where it meets it within its sides, and nowhere else', () => {
    fc.assert(
      fc.property(share, share, beyond, (s, r, out) => {
        const at = (u: number, v: number): Vector => [2 * u + 0.5 * v, v, 0];
        const through = (to: Vector) =>
          goesThrough([to[0] - 0.3, to[1] + 0.2, -1], [to[0] + 0.3, to[1] - 0.2, 1], plane);
        expect(through(at(s, r))).toBe(true);
        expect(through(at(out, r))).toBe(false);
        expect(through(at(s, -out))).toBe(false);
        expect(goesThrough(at(s, r), [1, 0.5, -1], plane)).toBe(true);
        expect(goesThrough([0, 0, 1], [1, 0.5, 2], plane)).toBe(false);
      }),
    );
  });
});
