import type { Catalogue, SmallPartItem } from '../../catalogue/index.ts';
import { BARE_PLACE, type BuildDocument, type StoredPlacement, zones } from '../../model/index.ts';
import { quantity as q } from '../../quantities/index.ts';
import { kittiwake } from './kittiwake.ts';
import { sampleCatalogue } from './sampleCatalogue.ts';
import { byMap } from './shorthand.ts';

const PLACES = 400;
const SMALL_PARTS = 300;
const WIRE_DECISIONS = 600;

const times = <Value>(count: number, entry: (index: number) => readonly [string, Value]) =>
  Object.fromEntries(Array.from({ length: count }, (_, i) => entry(i)));

const placeOf = (i: number): StoredPlacement => ({
  name: `Place ${i + 1}`,
  x: q(10 * (i % 40), 'length', 'mm'),
  y: q(12 * (i % 31) - 180, 'length', 'mm'),
  z: q(300 + 7 * (i % 53), 'length', 'mm'),
  zone: zones[i % zones.length] ?? 'body',
  movesWithEngine: false,
  ...BARE_PLACE,
});

const clampOf = (i: number): SmallPartItem => ({
  category: 'small-part',
  id: `SP-${i + 1}`,
  revision: 1,
  designation: `Clamp ${i + 1}`,
  family: 'P-clamp',
  mass: 0.01,
  price: 1 + i / 100,
  interchange: 'P-clamp',
  form: 'other',
  diameterMin: 0.01,
  diameterMax: 0.02,
});

/**
 * Kittiwake grown to the size that vehicle, devices and harness will give a build: what is there
 * for its size moves no figure. For the bench and for tests of how long an edit takes.
 */
export function grownBuild(): { document: BuildDocument; catalogue: Catalogue } {
  const clamps = Array.from({ length: SMALL_PARTS }, (_, i) => clampOf(i));
  const wireDecisions = times(
    WIRE_DECISIONS,
    (i) => [`device-${i + 1}-a~splice-${i + 1}`, { size: null, length: byMap }] as const,
  );
  return {
    catalogue: { items: [...sampleCatalogue.items, ...clamps] },
    document: {
      ...kittiwake,
      name: 'Kittiwake, grown',
      placements: {
        ...kittiwake.placements,
        ...times(PLACES, (i) => [`place-${i + 1}`, placeOf(i)] as const),
      },
      shelf: Object.fromEntries(
        clamps.map(({ id, revision }) => [id, { item: { id, revision }, count: 1 }]),
      ),
      power: {
        ...kittiwake.power,
        wireDecisions: { ...kittiwake.power.wireDecisions, ...wireDecisions },
      },
    },
  };
}
