import { describe, expect, test } from 'vitest';
import { applyCommand, createEvaluator } from '../../evaluation/index.ts';
import { demoBuilds, lantern, sampleCatalogue } from '../../exchange/index.ts';
import {
  type BuildCommand,
  type BuildDocument,
  applyPatch,
  readBuild,
  withValueAt,
} from '../../model/index.ts';
import { distanceBetween } from '../geometry/vector.ts';
import { vectorOf } from '../places/vectorOf.ts';
import { type MapThingSlice, mapSlices } from './index.ts';

const evaluator = createEvaluator();
const mm = (value: number) => ({ value: value / 1e3, unit: 'mm' });
const off = (slice: MapThingSlice, id: string): BuildCommand => ({
  name: 'take-off-map',
  slice,
  id,
});

/** Things that nothing else of a build refers to by being joined to it. */
const things = demoBuilds.flatMap(({ document }) =>
  mapSlices
    .filter((slice) => slice !== 'placements')
    .flatMap((slice) =>
      Object.keys(document[slice]).map((id) => [document.name, slice, id, document] as const),
    ),
);

describe('a thing that is taken off the map', () => {
  test.each(things)('%s, %s %s: is gone with what was its own, and comes back whole', (...row) => {
    const [, slice, id, build] = row;
    const { document, inverse } = applyCommand(build, off(slice, id));
    expect(Object.keys(document[slice])).not.toContain(id);
    expect(Object.keys(document[slice])).toHaveLength(Object.keys(build[slice]).length - 1);
    const told = JSON.stringify([document.tanks, document.routes, document.assemblies]);
    if (slice === 'solids') expect(told).not.toContain(`"solidId":"${id}"`);
    if (slice === 'otherLines') expect(told).not.toContain(`"otherLineId":"${id}"`);
    const carrier = { solids: 'solidId', mountingLines: 'mountingLineId', sheets: 'sheetId' };
    const key = slice in carrier ? carrier[slice as keyof typeof carrier] : 'none';
    for (const place of Object.values(document.placements)) {
      expect(JSON.stringify(place.fixing?.onto ?? null)).not.toContain(`"${key}":"${id}"`);
    }
    expect(applyPatch(document, inverse)).toEqual(build);
  });

  test('leaves a build that can be worked out', () => {
    for (const slice of ['solids', 'sheets', 'mountingLines', 'otherLines'] as const) {
      const [id] = Object.keys(lantern[slice]);
      const { document } = applyCommand(lantern, off(slice, id!));
      expect(evaluator.evaluate(document, sampleCatalogue).results.length).toBeGreaterThan(1000);
    }
  });

  test('takes along the tape readings of a place, of no other', () => {
    const measured = Object.values(lantern.hardPoints)[0]!.placementId;
    const { document } = applyCommand(lantern, off('placements', measured));
    const left = Object.values(document.hardPoints).map(({ placementId }) => placementId);
    expect(left).not.toContain(measured);
    expect(left).toHaveLength(
      Object.values(lantern.hardPoints).filter(({ placementId }) => placementId !== measured)
        .length,
    );
  });

  test('that is not there is refused', () => {
    expect(() => applyCommand(lantern, off('solids', 'nothing'))).toThrow(/thing/);
  });
});

describe('a first vehicle', () => {
  const sizes = {
    kind: 'pick-up',
    wheelbase: mm(3100),
    frontOverhang: mm(900),
    rearOverhang: mm(1200),
    width: mm(1850),
    height: mm(1700),
  } as const;
  const layOut = (more: object = {}): BuildCommand =>
    ({ name: 'lay-out-vehicle', ...sizes, ...more }) as unknown as BuildCommand;
  /** Lantern with nothing on its map but places. */
  const bare: BuildDocument = mapSlices
    .filter((slice) => slice !== 'placements' && slice !== 'otherLines')
    .reduce<BuildDocument>((build, slice) => ({ ...build, [slice]: {} }), {
      ...lantern,
      placements: Object.fromEntries(
        Object.entries(lantern.placements).map(([id, place]) => [id, { ...place, fixing: null }]),
      ),
      tanks: {},
    });

  test('has the sizes that were given, and wheels that fit under it', () => {
    const { vehicle } = applyCommand(bare, layOut()).document;
    expect(vehicle.wheelbase).toEqual(sizes.wheelbase);
    expect(vehicle.width).toEqual(sizes.width);
    expect(vehicle.track.value).toBeLessThanOrEqual(0.85 * sizes.width.value + 1e-12);
    expect(vehicle.tyre.value).toBeLessThanOrEqual(0.6 * sizes.height.value + 1e-12);
  });

  test('of a small one is drawn with small wheels', () => {
    const { vehicle } = applyCommand(bare, layOut({ width: mm(900), height: mm(800) })).document;
    expect(vehicle.track.value).toBeCloseTo(0.85 * 0.9, 9);
    expect(vehicle.tyre.value).toBeCloseTo(0.6 * 0.8, 9);
  });

  test('fills what is empty, inside of the vehicle', () => {
    const { document } = applyCommand(bare, layOut());
    const solids = readBuild(document).solids;
    expect(solids.length).toBeGreaterThan(0);
    for (const { low, high } of solids) {
      expect(low.x.value).toBeGreaterThanOrEqual(-sizes.rearOverhang.value - 1e-9);
      expect(high.x.value).toBeLessThanOrEqual(
        sizes.wheelbase.value + sizes.frontOverhang.value + 1e-9,
      );
      expect(Math.abs(low.y.value)).toBeLessThanOrEqual(sizes.width.value / 2 + 1e-9);
      expect(high.z.value).toBeLessThanOrEqual(sizes.height.value + 1e-9);
      for (const axis of ['x', 'y', 'z'] as const) {
        expect(high[axis].value).toBeGreaterThan(low[axis].value);
      }
    }
  });

  test('leaves what is drawn already as it is', () => {
    const { document } = applyCommand(lantern, layOut());
    for (const slice of ['solids', 'hotRuns', 'movingZones', 'sheets', 'mountingLines'] as const) {
      expect(document[slice]).toBe(lantern[slice]);
    }
    expect(document.placements).toBe(lantern.placements);
  });

  test('can be worked out, and undone', () => {
    const { document, inverse } = applyCommand(bare, layOut());
    const { findings } = evaluator.evaluate(document, sampleCatalogue);
    expect(findings.length).toBeGreaterThan(0);
    expect(applyPatch(document, inverse)).toEqual(bare);
  });
});

describe('a map that is pulled true', () => {
  const pull: BuildCommand = { name: 'pull-map-true' };
  const [, point] = Object.entries(lantern.hardPoints)[0]!;
  const [pointId] = Object.keys(lantern.hardPoints);
  const stray = withValueAt(lantern, `hardPoints.${pointId}.y`, {
    value: point.y.value + 0.06,
    unit: 'mm',
  });

  test('moves nothing where tape and map agree', () => {
    expect(applyCommand(lantern, pull).document).toEqual(lantern);
  });

  test('puts what was measured where the tape found it, and nothing moves further than that', () => {
    const { document } = applyCommand(stray, pull);
    for (const { placementId, ...at } of Object.values(document.hardPoints)) {
      expect(
        distanceBetween(vectorOf(document.placements[placementId]!), vectorOf(at)),
      ).toBeLessThan(1e-9);
    }
    for (const [id, place] of Object.entries(document.placements)) {
      const moved = distanceBetween(vectorOf(place), vectorOf(lantern.placements[id]!));
      expect(moved, id).toBeLessThanOrEqual(0.06 + 1e-4);
    }
  });

  test('keeps the shape of boxes and sheets’ holes where they are in them', () => {
    const { document } = applyCommand(stray, pull);
    for (const [id, { low, high }] of Object.entries(document.solids)) {
      const before = lantern.solids[id]!;
      for (const axis of ['x', 'y', 'z'] as const) {
        expect(high[axis].value - low[axis].value).toBeCloseTo(
          before.high[axis].value - before.low[axis].value,
          9,
        );
      }
    }
  });

  test('once pulled it stays', () => {
    const once = applyCommand(stray, pull).document;
    expect(applyCommand(once, pull).document).toEqual(once);
  });
});
