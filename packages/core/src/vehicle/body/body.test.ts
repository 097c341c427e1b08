import { describe, expect, test } from 'vitest';
import { lantern, sampleCatalogue } from '../../exchange/index.ts';
import { applyCommand, referenceProblems } from '../../evaluation/index.ts';
import { type BuildDocument, readBuild } from '../../model/index.ts';
import { bodyKinds } from '../slices/body.ts';
import { outlineOf } from './outline.ts';
import { usualVehicle } from './usualVehicle.ts';
import { evaluated } from '../../tests/evaluated.ts';

describe.each(bodyKinds)('the outline of a %s', (kind) => {
  const vehicle = usualVehicle(kind);
  const outline = outlineOf(vehicle);

  test('is as long and as high as its dimensions, above what protects it', () => {
    const x = outline.map((p) => p.x);
    const z = outline.map((p) => p.z);
    expect(Math.min(...x)).toBeCloseTo(-vehicle.rearOverhang.value, 12);
    expect(Math.max(...x)).toBeCloseTo(vehicle.wheelbase.value + vehicle.frontOverhang.value, 12);
    expect(Math.max(...z)).toBeCloseTo(vehicle.height.value, 12);
    expect(Math.min(...z)).toBeGreaterThanOrEqual(vehicle.clearance.value);
  });

  test('holds its wheels between its ends and its tyres under its top', () => {
    const radius = vehicle.tyre.value / 2;
    expect(vehicle.rearOverhang.value).toBeGreaterThan(radius * 0.8);
    expect(vehicle.frontOverhang.value).toBeGreaterThan(radius * 0.8);
    expect(vehicle.track.value).toBeLessThan(vehicle.width.value);
    expect(vehicle.tyre.value).toBeLessThan(vehicle.height.value);
  });
});

test('an outline that was corrected is taken as it is', () => {
  const { vehicle } = readBuild(lantern);
  const mm = (value: number) => ({ value: value / 1e3, unit: 'mm' });
  const outline = [
    { id: 'a', x: mm(-1000), z: mm(300) },
    { id: 'b', x: mm(-1000), z: mm(2000) },
    { id: 'c', x: mm(4000), z: mm(1000) },
  ];
  expect(outlineOf({ ...vehicle, outline })).toEqual([
    { x: -1, z: 0.3 },
    { x: -1, z: 2 },
    { x: 4, z: 1 },
  ]);
});

describe('a first vehicle', () => {
  const cleared: BuildDocument = {
    ...lantern,
    sheets: {},
    solids: {},
    hotRuns: {},
    movingZones: {},
    mountingLines: {},
    spaces: {},
    routes: {},
    tanks: {},
    placements: Object.fromEntries(
      Object.entries(lantern.placements).map(([id, place]) => [id, { ...place, fixing: null }]),
    ),
  };
  const mm = (value: number) => ({ value: value / 1e3, unit: 'mm' });
  const laidOut = (kind: (typeof bodyKinds)[number]): BuildDocument => {
    const { wheelbase, frontOverhang, rearOverhang, width, height } = usualVehicle(kind);
    const command = {
      name: 'lay-out-vehicle',
      kind,
      ...{ wheelbase, frontOverhang, rearOverhang, width, height },
    } as const;
    return applyCommand(cleared, command).document;
  };

  test.each(bodyKinds)('of a %s is sound, evaluates, and stands on its wheels', (kind) => {
    const document = laidOut(kind);
    expect(referenceProblems(document, sampleCatalogue)).toEqual([]);
    expect(Object.keys(document.solids)).toEqual(['engine', 'tank']);
    for (const { low, high } of Object.values(document.solids)) {
      for (const axis of ['x', 'y', 'z'] as const) {
        expect(high[axis].value).toBeGreaterThan(low[axis].value);
      }
    }
    const { results, findings } = evaluated(document);
    expect(results.filter((r) => !Number.isFinite(r.value))).toEqual([]);
    // The places are those of another vehicle: parts may sit in this one’s engine or sheets.
    const stops = findings.filter((f) => f.where.stage === 'map' && f.severity === 'stop');
    expect(stops.filter((f) => !f.rule.startsWith('component.'))).toEqual([]);
    const wheels = Object.values(document.movingZones).filter((zone) => zone.part === 'wheel');
    expect(wheels).toHaveLength(kind === 'three-wheeler' ? 3 : 4);
  });

  test('puts the engine round what is on it, and the exhaust away from the tank', () => {
    const { solids, hotRuns, placements } = laidOut('van');
    const rail = placements['rail']!;
    for (const axis of ['x', 'y', 'z'] as const) {
      expect(solids['engine']!.low[axis].value).toBeLessThanOrEqual(rail[axis].value);
      expect(solids['engine']!.high[axis].value).toBeGreaterThanOrEqual(rail[axis].value);
    }
    const tank = placements['tank-outlet']!;
    const pipe = Object.values(hotRuns['exhaust']!.points).at(-1)!;
    expect(Math.sign(pipe.y.value)).toBe(-Math.sign(tank.y.value));
  });

  test('leaves alone what is on the map already', () => {
    const own = { ...cleared, solids: { own: lantern.solids['tank']! } };
    const { document } = applyCommand(own, {
      name: 'lay-out-vehicle',
      kind: 'car',
      wheelbase: mm(2600),
      frontOverhang: mm(800),
      rearOverhang: mm(900),
      width: mm(1700),
      height: mm(1400),
    });
    expect(Object.keys(document.solids)).toEqual(['own']);
    expect(Object.keys(document.mountingLines)).toEqual(['leg-right', 'leg-left']);
  });
});

describe('a thing taken off the map', () => {
  test('takes its way or its tape reading with it', () => {
    const without = applyCommand(lantern, {
      name: 'take-off-map',
      slice: 'otherLines',
      id: 'second-battery-cable',
    }).document;
    expect(without.routes['second-battery-cable']).toBeUndefined();
    expect(referenceProblems(without, sampleCatalogue)).toEqual([]);
    const more = {
      ...lantern,
      placements: { ...lantern.placements, spare: lantern.placements['battery']! },
      hardPoints: {
        ...lantern.hardPoints,
        spare: { ...lantern.hardPoints['battery']!, placementId: 'spare' },
      },
    };
    const less = applyCommand(more, { name: 'take-off-map', slice: 'placements', id: 'spare' });
    expect(less.document).toEqual(lantern);
  });

  test('that is not there is told', () => {
    const command = { name: 'take-off-map', slice: 'edges', id: 'none' } as const;
    expect(() => applyCommand(lantern, command)).toThrow('no such thing');
  });
});
