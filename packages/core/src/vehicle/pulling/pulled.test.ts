import { describe, expect, test } from 'vitest';
import { applyCommand } from '../../evaluation/index.ts';
import { lantern } from '../../exchange/index.ts';
import { applyPatch, withValueAt } from '../../model/index.ts';
import { distanceBetween } from '../geometry/vector.ts';
import { pulled } from './pulled.ts';

const mm = (value: number) => ({ value: value / 1e3, unit: 'mm' });
const one = { drawn: [0, 0, 0], found: [0.04, 0, 0] } as const;

describe('pulling the map true', () => {
  test('a measured place goes where the tape found it', () => {
    expect(pulled([0, 0, 0], [one])).toEqual([0.04, 0, 0]);
  });

  test('what is near goes along, what is far stays', () => {
    expect(pulled([0.05, 0, 0], [one])[0] - 0.05).toBeGreaterThan(0.038);
    expect(pulled([0.5, 0, 0], [one])[0] - 0.5).toBeCloseTo(0.01, 9);
    expect(pulled([5, 0, 0], [one])[0] - 5).toBeLessThan(1e-4);
  });

  test('between two readings that agree a place goes along with both', () => {
    const both = [one, { drawn: [0.2, 0, 0], found: [0.24, 0, 0] }] as const;
    expect(pulled([0.1, 0, 0], both)[0] - 0.1).toBeCloseTo(0.04, 2);
  });

  test('beside a reading its own word counts, whatever another says further off', () => {
    const both = [one, { drawn: [0.4, 0, 0], found: [0.3, 0, 0] }] as const;
    expect(pulled([0.01, 0, 0], both)[0] - 0.01).toBeGreaterThan(0.036);
  });

  test('without readings nothing moves', () => {
    expect(pulled([1, 2, 3], [])).toEqual([1, 2, 3]);
  });

  test('as an edit it moves measured places exactly, solids as they are, and undoes', () => {
    const off = withValueAt(lantern, 'hardPoints.tank-outlet.x', mm(-410));
    const applied = applyCommand(off, { name: 'pull-map-true' });
    const { document } = applied;
    expect(document.placements['tank-outlet']!.x.value).toBeCloseTo(-0.41, 12);
    const tank = document.solids['tank']!;
    const before = off.solids['tank']!;
    expect(tank.high.x.value - tank.low.x.value).toBeCloseTo(
      before.high.x.value - before.low.x.value,
      9,
    );
    expect(tank.low.x.value).toBeGreaterThan(before.low.x.value);
    const corner = (d: typeof document) =>
      Object.values(d.routes['suction']!.points).map(
        ({ x, y, z }) => [x.value, y.value, z.value] as const,
      );
    expect(distanceBetween(corner(document)[0]!, corner(off)[0]!)).toBeGreaterThan(0.01);
    expect(document.placements['ecu']!.x).toEqual(off.placements['ecu']!.x);
    expect(applyPatch(document, applied.inverse)).toEqual(off);
  });
});
