import { describe, test } from 'vitest';
import { lantern, sampleCatalogue } from '../../exchange/index.ts';
import type { BuildDocument } from '../../model/index.ts';
import { type Change, changed, cool } from '../../tests/trippedBuilds.ts';
import { type Turn, expectTurn } from '../../tests/turningPoint.ts';

/** Lengths are turned in millimetres, as a tape reads them. */
const mm = (value: number) => ({ value: value / 1e3, unit: 'mm' });
const byLength =
  (...paths: readonly string[]) =>
  (length: number): BuildDocument =>
    changed(...cool, ...paths.map((path): Change => [path, mm(length)]));
const with_ =
  (first: readonly Change[], build: (length: number) => readonly Change[]) =>
  (length: number): BuildDocument =>
    changed(...cool, ...first, ...build(length));

const hose = (id: string) => {
  const item = sampleCatalogue.items.find((each) => each.id === id)!;
  if (item.category !== 'hose') throw new Error(`${id} is no hose`);
  return item;
};
const feedSkin = (1e3 * hose('HBR-6').outsideDiameter) / 2;
/** Where the downpipe lies beside the upright part of the feed: y of its middle, and half of it. */
const downpipe = 1e3 * lantern.hotRuns['downpipe']!.points['p2']!.y.value;
const downpipeHalf = (1e3 * lantern.hotRuns['downpipe']!.diameter.value) / 2;
/** y at which the skin of the feed is so far from that of the downpipe. */
const feedAt = (clearance: number): number => downpipe - downpipeHalf - feedSkin - clearance;
const upright = ['routes.feed.points.p3.y', 'routes.feed.points.p4.y'];
const sleeve = {
  kind: 'heat-sleeve',
  from: null,
  to: null,
  bears: { value: 823.15, unit: '°C' },
};
const sleeved: Change = ['routes.feed.covers', { s1: sleeve }];

/** Parts are drawn as boxes: a millimetre is not held against one. */
const GRANTED = 1e-3;

const turns: Record<string, Turn> = {
  'a bare line stays 100 mm from what is hot': {
    finding: 'route.heat:feed',
    build: byLength(...upright),
    between: [180, 280],
    says: ['nothing', 'warn'],
    at: 0.1,
    value: feedAt(100),
  },
  'and stops where it touches': {
    finding: 'route.heat:feed',
    build: byLength(...upright),
    between: [300, 330],
    says: ['warn', 'stop'],
    at: 0,
    value: feedAt(0),
  },
  'in a heat sleeve 50 mm are enough': {
    finding: 'route.heat:feed',
    build: with_([sleeved], (y) => upright.map((path): Change => [path, mm(y)])),
    between: [230, 310],
    says: ['nothing', 'warn'],
    at: 0.05,
  },
  'a sleeve bears what is beside it': {
    finding: 'route.cover:feed:s1',
    build: (kelvin) =>
      changed(...cool, [
        'routes.feed.covers',
        { s1: { ...sleeve, bears: { value: kelvin, unit: '°C' } } },
      ]),
    between: [823.15, 533.15],
    says: ['nothing', 'warn'],
    at: lantern.hotRuns['downpipe']!.temperature.value,
    value: lantern.hotRuns['downpipe']!.temperature.value,
  },
  'what has room drawn for all of its movement asks 25 mm more': {
    finding: 'route.moving:suction',
    build: byLength('movingZones.suspension-right.room.high.y'),
    between: [-480, -450],
    says: ['nothing', 'warn'],
    at: 0.025,
  },
  'and a line within it stops': {
    finding: 'route.moving:suction',
    build: byLength('movingZones.suspension-right.room.high.y'),
    between: [-450, -400],
    says: ['warn', 'stop'],
    at: 0,
  },
  'a sharp edge asks 12 mm': {
    finding: 'route.edge:feed',
    build: byLength('edges.dropped-flange.from.z', 'edges.dropped-flange.to.z'),
    between: [370, 485],
    says: ['nothing', 'warn'],
    at: 0.012,
  },
  'through what is solid there is no way': {
    finding: 'route.solid:return',
    build: with_([['solids.member-shaft.low.y', mm(-400)]], (z) => [
      ['solids.member-shaft.low.z', mm(z)],
    ]),
    between: [600, 545],
    says: ['nothing', 'stop'],
    at: 0,
    // The return lies at 548 there: its skin is above by half of it.
    value: 548 + (1e3 * hose('HBR-6').outsideDiameter) / 2,
  },
  'fuel and battery cable keep 50 mm': {
    finding: 'route.cable:return',
    build: byLength(
      'routes.second-battery-cable.points.p3.z',
      'routes.second-battery-cable.points.p4.z',
    ),
    between: [660, 590],
    says: ['nothing', 'warn'],
    at: 0.05,
  },
  'a line stays above the lowest member that protects it': {
    finding: 'route.low:feed',
    build: byLength('vehicle.clearance'),
    between: [300, 325],
    says: ['nothing', 'warn'],
    at: 'limit',
    value: 330 - feedSkin,
  },
  'a suction line holds no air above 30 mm': {
    finding: 'route.pocket:suction',
    build: byLength('routes.suction.points.p1.z'),
    between: [430, 520],
    says: ['nothing', 'warn'],
    at: 0.03,
  },
  'a bend is no tighter than its hose allows, inside, and half its thickness': {
    finding: 'route.bend:feed',
    build: byLength('routes.feed.points.p2.radius'),
    between: [80, 40],
    says: ['nothing', 'warn'],
    at: 'limit',
    // Usual for its size inside of the bend; the way is that of its middle.
    value: 65 + feedSkin,
  },
  'a part stays 100 mm from what is hot': {
    finding: 'component.heat:fine',
    build: with_([['placements.fine-filter.x', mm(1900)]], (y) => [
      ['placements.fine-filter.y', mm(y)],
    ]),
    between: [150, 270],
    says: ['nothing', 'warn'],
    at: 0.1 - GRANTED,
  },
  'a part keeps 25 mm from what moves': {
    finding: 'component.moving:coarse',
    build: byLength('movingZones.suspension-right.room.high.y'),
    between: [-480, -420],
    says: ['nothing', 'warn'],
    at: 0.025 - GRANTED,
  },
  'a part stays above what protects it from the ground': {
    finding: 'component.low:coarse',
    build: byLength('vehicle.clearance'),
    between: [300, 340],
    says: ['nothing', 'warn'],
    at: 0.332,
    value: 332 + 1e3 * GRANTED,
  },
  'a part has no room within what is solid': {
    finding: 'component.solid:fine',
    build: byLength('placements.fine-filter.y'),
    between: [-370, -400],
    says: ['nothing', 'stop'],
    at: -GRANTED,
  },
};

describe('on the map a check changes its mind where its limit is:', () => {
  test.each(Object.entries(turns))('%s', (_words, turn) => expectTurn(turn));
});
