import { BARE_PLACE, type Build, type MapThingSlice, type Vector, quantity } from '@brookrain/core';

const mm = (metres: number) => quantity(Math.round(metres * 1e3), 'length', 'mm');
const place = ([x, y, z]: Vector) => ({ x: mm(x), y: mm(y), z: mm(z) });
const box = ([x, y, z]: Vector, half: number) => ({
  low: place([x - half, y - half, z - half]),
  high: place([x + half, y + half, z + half]),
});
const along = ([x, y, z]: Vector) => ({
  from: place([x - 0.3, y, z]),
  to: place([x + 0.3, y, z]),
});

/** Kinds of things that can be put on the map, by what the menu calls them. */
export const newThings = {
  hotPipe: 'Hot pipe',
  solid: 'Solid thing',
  movingBox: 'Moving thing, as a box',
  movingRod: 'Moving thing, as a rod',
  sheet: 'Sheet of metal',
  edge: 'Sharp edge',
  mountingLine: 'Mounting line',
  space: 'Cabin, crush or splash zone',
  otherLine: 'Other line',
  place: 'Place',
} as const;
export type NewThing = keyof typeof newThings;

/** Where a thing of a kind is kept, and what it is before anyone said more. */
export function newThing(
  kind: NewThing,
  at: Vector,
  build: Build,
): { readonly slice: MapThingSlice; readonly value: object } | undefined {
  switch (kind) {
    case 'hotPipe':
      return {
        slice: 'hotRuns',
        value: {
          name: 'Exhaust',
          part: 'pipe',
          diameter: mm(0.05),
          temperature: quantity(400, 'temperature', '°C'),
          points: {
            p1: { order: 1000, ...place([at[0] + 0.5, at[1], at[2]]) },
            p2: { order: 2000, ...place([at[0] - 0.5, at[1], at[2]]) },
          },
        },
      };
    case 'solid':
      return {
        slice: 'solids',
        value: {
          name: 'Solid thing',
          part: 'other',
          ...box(at, 0.15),
          carriesMounts: false,
          movesWithEngine: false,
        },
      };
    case 'movingBox':
      return {
        slice: 'movingZones',
        value: {
          name: 'Moving thing',
          part: 'other',
          travel: mm(0),
          room: { shape: 'box', ...box(at, 0.15) },
        },
      };
    case 'movingRod':
      return {
        slice: 'movingZones',
        value: {
          name: 'Shaft',
          part: 'shaft',
          travel: mm(0),
          room: { shape: 'rod', ...along(at), diameter: mm(0.06) },
        },
      };
    case 'sheet':
      return {
        slice: 'sheets',
        value: {
          name: 'Sheet',
          seals: false,
          corner: place([at[0], at[1] - 0.3, at[2] - 0.2]),
          next: place([at[0], at[1] + 0.3, at[2] - 0.2]),
          other: place([at[0], at[1] - 0.3, at[2] + 0.2]),
          passThroughs: {},
        },
      };
    case 'edge':
      return { slice: 'edges', value: { name: 'Edge', covered: false, ...along(at) } };
    case 'mountingLine':
      return {
        slice: 'mountingLines',
        value: { name: 'Mounting line', ...along(at), clipPitch: null },
      };
    case 'space':
      return { slice: 'spaces', value: { name: 'Cabin', use: 'cabin', ...box(at, 0.3) } };
    case 'place':
      return {
        slice: 'placements',
        value: { name: 'Place', ...place(at), zone: 'body', movesWithEngine: false, ...BARE_PLACE },
      };
    case 'otherLine': {
      const [from, to] = build.placements;
      if (!from || !to) return undefined;
      return {
        slice: 'otherLines',
        value: {
          name: 'Other line',
          use: 'vent',
          fromPlacementId: from.id,
          toPlacementId: to.id,
          item: null,
          diameter: mm(0.012),
          flow: null,
        },
      };
    }
  }
}
