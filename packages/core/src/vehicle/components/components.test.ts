import { describe, expect, test } from 'vitest';
import { kittiwake, lantern, sampleCatalogue } from '../../exchange/index.ts';
import { type BuildDocument, withValueAt } from '../../model/index.ts';
import { distanceBetween } from '../geometry/vector.ts';
import { roomBefore, sideOf } from './index.ts';
import { evaluated } from '../../tests/evaluated.ts';

const mm = (value: number) => ({ value: value / 1e3, unit: 'mm' });
const mapOf = (document: BuildDocument) => evaluated(document).map;
const find = (document: BuildDocument, id: string) =>
  mapOf(document).components.find(({ component }) => component.id === id)!;
const degrees = (value: number) => ({ value: (value * Math.PI) / 180, unit: '°' });

describe('parts on the vehicle', () => {
  test('lines begin and end at their ports, half a part from its middle', () => {
    const { lines, components } = mapOf(lantern);
    const pump = components.find(({ component }) => component.id === 'pump')!.component;
    const outlet = lines.find((l) => l.lineId === 'pump-outlet')!;
    expect(distanceBetween(outlet.points[0]!.at, [0.52 + 0.095, -0.37, 0.5])).toBeLessThan(1e-12);
    expect(sideOf(pump.body, 'front').direction).toEqual([1, 0, 0]);
  });

  test('a part that looks back swaps its ports', () => {
    const turned = withValueAt(lantern, 'placements.pump.heading', degrees(180));
    const outlet = mapOf(turned).lines.find((l) => l.lineId === 'pump-outlet')!;
    expect(distanceBetween(outlet.points[0]!.at, [0.52 - 0.095, -0.37, 0.5])).toBeLessThan(1e-9);
  });

  test('a part without a known size is a place only, and lines end in its middle', () => {
    const bare = {
      items: sampleCatalogue.items.map((item) =>
        item.category === 'pump' ? { ...item, bodyLength: 0 } : item,
      ),
    };
    const { map } = evaluated(lantern, bare);
    expect(map.components.some(({ component }) => component.id === 'pump')).toBe(false);
    const outlet = map.lines.find((l) => l.lineId === 'pump-outlet')!;
    expect(distanceBetween(outlet.points[0]!.at, [0.52, -0.37, 0.5])).toBeLessThan(1e-12);
  });

  test('the turn at a port is the angle between it and the line', () => {
    const { results } = evaluated(lantern);
    const turn = (key: string) => results.find((r) => r.key === key)!.value;
    // Straight on from pump to fine filter; the return leaves the bottom of its regulator sideways.
    expect(turn('line.pump-outlet.startTurn')).toBeCloseTo(0, 9);
    expect(turn('line.return.startTurn')).toBeCloseTo(Math.PI / 2, 9);
  });

  test('room to reach a part lies before its side, as deep as is asked', () => {
    const { component } = find(lantern, 'battery');
    const room = roomBefore(component.body, 'top', 0.15);
    expect(room.middle[2]).toBeCloseTo(
      component.body.middle[2] + component.body.half[2] + 0.075,
      12,
    );
    expect(room.half[2]).toBeCloseTo(0.075, 12);
    expect(room.half[0]).toBe(component.body.half[0]);
  });

  test('clearance to a box above is the gap, and goes below zero by how deep it sits in it', () => {
    const under = (z: number): BuildDocument =>
      withValueAt(
        withValueAt(lantern, 'solids.radiator.low', { x: mm(450), y: mm(-395), z: mm(z) }),
        'solids.radiator.high',
        { x: mm(600), y: mm(-345), z: mm(z + 200) },
      );
    const clear = (z: number) => find(under(z), 'pump').near.solid!.clearance;
    expect(clear(600)).toBeLessThanOrEqual(0.07);
    expect(clear(520)).toBeCloseTo(-0.01, 9);
  });

  test('parts on the engine sit within its envelope, others do not', () => {
    expect(find(lantern, 'regulator').near.solid?.id).not.toBe('engine');
    const apart = withValueAt(lantern, 'placements.regulator.movesWithEngine', false);
    expect(find(apart, 'regulator').near.solid?.margin).toBeLessThan(0);
  });

  test('the demos have no part in another, in metal, or in the way of what moves', () => {
    for (const document of [lantern, kittiwake]) {
      for (const check of mapOf(document).components) {
        expect(check.sheet, check.component.id).toBeUndefined();
        expect(check.near.component?.margin ?? 1, check.component.id).toBeGreaterThan(-1e-3);
        expect(check.near.moving?.margin ?? 1, check.component.id).toBeGreaterThan(-1e-3);
      }
    }
  });

  test('moving the whole vehicle forward changes no clearance', () => {
    const shift = (value: unknown): unknown => {
      if (Array.isArray(value)) return value.map(shift);
      if (typeof value !== 'object' || value === null) return value;
      return Object.fromEntries(
        Object.entries(value).map(([key, entry]) => {
          const quantity = entry as { value?: number; unit?: string } | null;
          return key === 'x' && typeof quantity?.value === 'number'
            ? [key, { ...quantity, value: quantity.value + 1 }]
            : [key, shift(entry)];
        }),
      );
    };
    const moved = shift(lantern) as BuildDocument;
    const clearances = (document: BuildDocument) =>
      mapOf(document).components.map((c) => c.nearest!.clearance);
    clearances(moved).forEach((value, i) => expect(value).toBeCloseTo(clearances(lantern)[i]!, 9));
  });
});
