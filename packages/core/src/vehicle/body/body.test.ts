import { describe, expect, test } from 'vitest';
import { lantern } from '../../exchange/index.ts';
import { readBuild } from '../../model/index.ts';
import { bodyKinds } from '../slices/body.ts';
import { outlineOf } from './outline.ts';
import { usualVehicle } from './usualVehicle.ts';

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
