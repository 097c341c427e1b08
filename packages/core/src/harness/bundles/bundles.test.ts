import { describe, expect, test } from 'vitest';
import type { CatalogueItem } from '../../catalogue/index.ts';
import { heatGivenOff, resistanceAt } from '../../electrics/index.ts';
import { demoBuilds, sampleCatalogue, sandpiper } from '../../exchange/index.ts';
import { withValueAt } from '../../model/index.ts';
import { coverFor } from './coverOf.ts';
import { bundleTemperature, coveredDiameter } from './formulas.ts';
import { holeSawFor, holeSaws } from './passThroughs.ts';
import { segmentSheet } from './segmentSheet.ts';
import { evaluated } from '../../tests/evaluated.ts';

const temperature = (currents: number[], diameter = 0.02, ambient = 320): number =>
  bundleTemperature.compute({
    diameter,
    ambient,
    currents,
    perMetre: currents.map(() => 0.02),
  } as never);

describe('the hottest inside a bundle', () => {
  test('is the air around it where nothing flows', () => {
    expect(temperature([])).toBe(320);
    expect(temperature([0, 0])).toBe(320);
  });

  test('gives off at its skin what its wires make, and rises inwards as in a round body', () => {
    const currents = [6, 6, 8, 4];
    const inside = temperature(currents);
    const made = resistanceAt(
      currents.reduce((sum, amps) => sum + amps ** 2 * 0.02, 0),
      inside,
    );
    const skin = inside - made / (4 * Math.PI * 0.25);
    expect(heatGivenOff(0.02, skin, 320)).toBeCloseTo(made, 6);
  });

  test('rises with current, falls with a wider bundle', () => {
    expect(temperature([8, 8])).toBeGreaterThan(temperature([6, 6]));
    expect(temperature([8, 8], 0.03)).toBeLessThan(temperature([8, 8], 0.01));
    expect(temperature([1e4])).toBeLessThanOrEqual(2320);
  });
});

describe('what lies round a bundle', () => {
  test('is the smallest of its form that takes it', () => {
    for (const form of ['conduit', 'braid', 'heat-shrink', 'heat-sleeve'] as const) {
      for (const bundle of [0.0025, 0.006, 0.011, 0.019, 0.027]) {
        const chosen = coverFor(sampleCatalogue, form, bundle);
        if (!chosen) continue;
        expect(chosen.bundleMax).toBeGreaterThanOrEqual(bundle);
        for (const item of sampleCatalogue.items) {
          if (item.category !== 'cover' || item.form !== form) continue;
          const fits = item.bundleMax >= bundle && item.bundleMin <= bundle;
          if (fits) expect(item.nominal).toBeGreaterThanOrEqual(chosen.nominal);
        }
      }
    }
    expect(coverFor(sampleCatalogue, 'braid', 0.5)).toBeUndefined();
  });

  test('makes it wider by twice each wall', () => {
    const input = { bundle: 0.01, walls: [0.001, 0.0005] } as never;
    expect(coveredDiameter.compute(input)).toBeCloseTo(0.013, 12);
  });
});

describe.each(demoBuilds.map(({ document }) => [document.name, document] as const))(
  'the bundles of %s',
  (_name, document) => {
    const evaluation = evaluated(document);
    const { harness, led, electrics, results, findings } = evaluation;
    const value = (key: string): number => results.find((r) => r.key === key)!.value;

    test('hold the wires that run through them, and have a cover that takes them', () => {
      for (const bundle of harness.bundles) {
        const through = led.wires.filter(({ parts }) =>
          parts.some(({ segmentId }) => segmentId === bundle.segmentId),
        );
        expect(bundle.wires).toHaveLength(through.length);
        expect(value(`segment.${bundle.segmentId}.count`)).toBe(through.length);
        if (bundle.wires.length === 0) continue;
        const area = bundle.wires.reduce((sum, wire) => sum + wire.outsideDiameter ** 2, 0);
        expect(bundle.bundle).toBeGreaterThanOrEqual(Math.sqrt(area) - 1e-12);
        // The quick rule is for four wires and more.
        const loosest = bundle.layers ? 1.9 : 1.3;
        if (bundle.wires.length >= 4) expect(bundle.bundle).toBeLessThan(loosest * Math.sqrt(area));
        if (bundle.cover === 'none') {
          // Laced: a tie every 60 mm, and one more.
          expect(bundle.diameter).toBe(bundle.bundle);
          const ties = value(`segment.${bundle.segmentId}.ties`);
          expect((ties - 1) * 0.06).toBeGreaterThanOrEqual(bundle.length - 1e-9);
          expect((ties - 2) * 0.06).toBeLessThan(bundle.length);
          continue;
        }
        expect(bundle.coverItem).toBeDefined();
        expect(bundle.diameter).toBeGreaterThan(bundle.bundle);
      }
    });

    test('are drawn as their figures say, no wire over another', () => {
      for (const { segmentId } of harness.bundles) {
        const sheet = segmentSheet(harness, electrics, segmentId)!;
        sheet.wires.forEach((a, i) => {
          expect(Math.hypot(a.x, a.y) + a.outsideDiameter / 2).toBeLessThan(
            sheet.bundle / 2 + 1e-9,
          );
          for (const b of sheet.wires.slice(0, i)) {
            const apart = Math.hypot(a.x - b.x, a.y - b.y);
            expect(apart).toBeGreaterThan((a.outsideDiameter + b.outsideDiameter) / 2 - 1e-9);
          }
        });
      }
      expect(segmentSheet(harness, electrics, 'nowhere')).toBeUndefined();
    });

    test('come to the copper that their wires are', () => {
      const sum = led.wires.reduce((all, { length }) => all + length.value, 0);
      expect(value('harness.copperLength')).toBeCloseTo(sum, 9);
      const copper = led.wires.reduce((all, { wireId, length }) => {
        const { size } = electrics.wires.find(({ wire }) => wire.id === wireId)!;
        return all + length.value * size.mass;
      }, 0);
      expect(value('harness.weight')).toBeGreaterThan(copper);
      const covers = harness.bundles.reduce(
        (all, { length, coverItem, heatSleeve }) =>
          all + length * ((coverItem?.mass ?? 0) + (heatSleeve?.mass ?? 0)),
        0,
      );
      const ends = harness.ends.parts
        .filter(({ inHarness }) => inHarness)
        .reduce((all, { item, quantity }) => all + quantity * item.mass, 0);
      const inLooms = led.wires.filter(({ leg }) => leg).length;
      expect(value('harness.weight') - copper - covers - ends).toBeGreaterThan(-1e-9);
      expect(value('harness.weight') - copper - covers - ends).toBeLessThan(2e-3 * inLooms + 1e-9);
    });

    test('cost what the parts list asks for the same parts', () => {
      const { parts } = evaluation.parts;
      const price = (wanted: (item: CatalogueItem) => boolean): number =>
        parts
          .filter(({ item }) => wanted(item))
          .reduce((all, { item, quantity }) => all + item.price * quantity, 0);
      const ofHarness = price(
        ({ category }) => category === 'wire' || category === 'cover' || category === 'plug-part',
      );
      // What lies between battery, fuses and relays is on the list, and not in the harness.
      expect(value('harness.cost')).toBeLessThan(ofHarness);
      expect(value('harness.cost')).toBeGreaterThan(0.6 * ofHarness);
    });

    test('nothing stands against them: the demo is one that can be built', () => {
      expect(
        findings.filter(
          ({ rule, severity }) => severity !== 'note' && /^(harness|segment|splice)\./.test(rule),
        ),
      ).toEqual([]);
    });

    test('no plug has two wires alike, and every hole is cut with a saw that is sold', () => {
      const colours = new Map(
        harness.colours.map(({ wireId, colour, stripe }) => [wireId, `${colour}/${stripe ?? ''}`]),
      );
      for (const { cavities, id } of harness.connectors) {
        const nodes = new Set(cavities.map(({ node }) => node));
        const inside = electrics.netlist.wires
          .filter(({ from, to }) => nodes.has(from.node) || nodes.has(to.node))
          .map((wire) => colours.get(wire.id));
        expect(new Set(inside).size, id).toBe(inside.length);
      }
      for (const hole of harness.holes) {
        expect(holeSaws).toContain(Math.round(value(`passThrough.${hole.id}.holeSaw`) * 1e3));
        expect(value(`passThrough.${hole.id}.holeSaw`)).toBeGreaterThanOrEqual(
          value(`passThrough.${hole.id}.bore`) - 1e-9,
        );
      }
    });
  },
);

test('a hole wider than any saw is cut to its size, never to a smaller one', () => {
  const saw = (bore: number): number => holeSawFor.compute({ bore } as never);
  expect(saw(0.0145)).toBe(0.016);
  expect(saw(0.152)).toBe(0.152);
  expect(saw(0.1804)).toBeCloseTo(0.181, 12);
});

test('a colour that is settled is kept, and the others keep clear of it', () => {
  const settled = withValueAt(sandpiper, 'harness.colours', {
    'throttle~1': { colour: 'pink', stripe: 'green' },
  });
  const { harness } = evaluated(settled);
  const of = (id: string) => harness.colours.find(({ wireId }) => wireId === id)!;
  expect(of('throttle~1')).toEqual({
    wireId: 'throttle~1',
    colour: 'pink',
    stripe: 'green',
    settled: true,
  });
  for (const id of ['throttle~2', 'throttle~3']) {
    expect([of(id).colour, of(id).stripe]).not.toEqual(['pink', 'green']);
  }
});
