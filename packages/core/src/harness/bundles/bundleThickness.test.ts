import { describe, expect, test } from 'vitest';
import { demoBuilds, sampleCatalogue } from '../../exchange/index.ts';
import { readBuild } from '../../model/index.ts';
import { evaluated } from '../../tests/evaluated.ts';
import { bundleThickness } from './bundleThickness.ts';

const wires = [0.0016, 0.0016, 0.0021, 0.0013];

describe('how thick wires are before they are led', () => {
  test.each(demoBuilds.map(({ document }) => [document.name, document] as const))(
    'is what the segments of %s come to, where they have the cover of their school',
    (_name, document) => {
      const { school, segments } = readBuild(document).harness;
      const decided = new Map(segments.map((segment) => [segment.id, segment]));
      let seen = 0;
      for (const bundle of evaluated(document).harness.bundles) {
        const segment = decided.get(bundle.segmentId)!;
        if (segment.cover !== null || segment.heatSleeve || bundle.wires.length === 0) continue;
        const diameters = bundle.wires.map(({ outsideDiameter }) => outsideDiameter);
        const thick = bundleThickness(diameters, school, sampleCatalogue);
        expect(thick, bundle.name).toBeCloseTo(bundle.diameter, 9);
        seen += 1;
      }
      expect(seen).toBeGreaterThan(10);
    },
  );

  test('is nothing without a wire, and never less than the wires take', () => {
    expect(bundleThickness([], 'taped', sampleCatalogue)).toBe(0);
    const section = Math.sqrt(wires.reduce((sum, d) => sum + d ** 2, 0));
    for (const school of ['taped', 'conduit', 'braided', 'sealed'] as const) {
      expect(bundleThickness(wires, school, sampleCatalogue)).toBeGreaterThan(section);
    }
  });

  test('grows by two walls of the cover, and not by a cover that no catalogue has', () => {
    const bare = bundleThickness(wires, 'braided', { items: [] });
    const braid = sampleCatalogue.items.filter(
      (item) => item.category === 'cover' && item.form === 'braid',
    );
    const walls = braid.map((item) => (item.category === 'cover' ? 2 * item.wall : 0));
    const grown = bundleThickness(wires, 'braided', { items: braid }) - bare;
    expect(walls.some((wall) => Math.abs(wall - grown) < 1e-12)).toBe(true);
  });
});
