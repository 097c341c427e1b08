import { describe, expect, test } from 'vitest';
import { newestOf } from '../../catalogue/index.ts';
import { sampleCatalogue } from '../../exchange/index.ts';
import { filterLaw } from './filterBranch.ts';

describe('filter law', () => {
  test.each(newestOf(sampleCatalogue, 'filter').map((f) => [f.id, f] as const))(
    '%s meets its data-sheet points',
    (_id, filter) => {
      const { viscous, inertial } = filterLaw(filter);
      for (const { flow, pressureDrop } of filter.points) {
        const drop =
          viscous * filter.testViscosity * flow + inertial * filter.testDensity * flow ** 2;
        expect(drop / pressureDrop).toBeCloseTo(1, 9);
      }
      expect(viscous).toBeGreaterThan(0);
      expect(inertial).toBeGreaterThanOrEqual(0);
    },
  );

  const base = newestOf(sampleCatalogue, 'filter')[0]!;
  test('one point leaves the inertial part at zero', () => {
    const { viscous, inertial } = filterLaw({ ...base, points: base.points.slice(0, 1) });
    expect(inertial).toBe(0);
    expect(viscous).toBeCloseTo(
      base.points[0]!.pressureDrop / (base.testViscosity * base.points[0]!.flow),
      3,
    );
  });

  test('points that would make a part negative fall back to the other part', () => {
    const [a] = base.points;
    const falling = filterLaw({
      ...base,
      points: [a!, { flow: 2 * a!.flow, pressureDrop: 1.5 * a!.pressureDrop }],
    });
    expect(falling.inertial).toBe(0);
    const steep = filterLaw({
      ...base,
      points: [a!, { flow: 2 * a!.flow, pressureDrop: 8 * a!.pressureDrop }],
    });
    expect(steep.viscous).toBe(0);
    expect(steep.inertial).toBeGreaterThan(0);
  });
});
