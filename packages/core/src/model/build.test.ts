import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { demoBuilds, grownBuild, kittiwake, lantern } from '../exchange/index.ts';
import { readBuild } from './build.ts';
import type { BuildDocument } from './document.ts';
import { withValueAt } from './path.ts';
import { hashOf } from './stableJson.ts';
import { ORDER_STEP, writeBuild } from './writeBuild.ts';

describe('a build', () => {
  test.each(demoBuilds.map(({ id, document }) => [id, document] as const))(
    '%s read and written is the same document',
    (_id, document) => {
      expect(hashOf(writeBuild(readBuild(document)))).toBe(hashOf(document));
    },
  );

  test('lists its entries in their order, with their ids', () => {
    const { fuelCircuits } = readBuild(lantern);
    const ids = fuelCircuits[0]!.elements.map((e) => e.id);
    expect(ids.slice(0, 4)).toEqual(['tank', 'tank-bung', 'suction', 'coarse']);
    expect(fuelCircuits[0]!.elements.some((e) => 'order' in e)).toBe(false);
    const first = withValueAt(lantern, 'fuelCircuits.main.elements.return.order', -1);
    expect(readBuild(first).fuelCircuits[0]!.elements[0]!.id).toBe('return');
  });

  test('does not depend on how the keys of a record happen to stand', () => {
    const { elements } = lantern.fuelCircuits['main']!;
    fc.assert(
      fc.property(fc.shuffledSubarray(Object.entries(elements), { minLength: 13 }), (entries) => {
        const shuffled = withValueAt(
          lantern,
          'fuelCircuits.main.elements',
          Object.fromEntries(entries),
        );
        expect(readBuild(shuffled)).toEqual(readBuild(lantern));
      }),
      { numRuns: 30 },
    );
  });

  test('reads what did not change as the same object, down to the entry', () => {
    const before = readBuild(kittiwake);
    const renamed = withValueAt(kittiwake, 'fuelCircuits.main.elements.feed.name', 'Long line');
    const after = readBuild(renamed);
    expect(after.placements).toBe(before.placements);
    expect(after.power).toBe(before.power);
    expect(after.fuelCircuits[1]).toBe(before.fuelCircuits[1]);
    const [circuit, was] = [after.fuelCircuits[0]!, before.fuelCircuits[0]!];
    expect(circuit.nodes).toBe(was.nodes);
    for (const element of circuit.elements) {
      const same = was.elements.includes(element);
      expect(same, element.id).toBe(element.id !== 'feed');
    }
  });

  test('the same document is read once', () => {
    expect(readBuild(lantern)).toBe(readBuild(lantern));
  });

  test('one with hundreds of entries is read with each of them', () => {
    const { document } = grownBuild();
    const build = readBuild(document);
    expect(build.placements.length).toBe(Object.keys(document.placements).length);
    expect(build.placements.length).toBeGreaterThan(400);
    expect(build.power.wireDecisions.length).toBeGreaterThanOrEqual(600);
    expect(build.shelf).toHaveLength(300);
  });

  test('orders leave room between neighbours', () => {
    const orders = Object.values(lantern.fuelCircuits['main']!.elements).map((e) => e.order);
    const sorted = [...orders].sort((a, b) => a - b);
    sorted.slice(1).forEach((order, i) => expect(order - sorted[i]!).toBe(ORDER_STEP));
  });

  test('curve points are read by speed, whatever their ids', () => {
    const curve: BuildDocument['brief']['boostCurve'] = {
      z: { speed: { value: 10, unit: 'rpm' }, value: { value: 0.1, unit: '%' } },
      a: { speed: { value: 30, unit: 'rpm' }, value: { value: 0.3, unit: '%' } },
      m: { speed: { value: 20, unit: 'rpm' }, value: { value: 0.2, unit: '%' } },
    };
    const { brief } = readBuild(withValueAt(lantern, 'brief.boostCurve', curve));
    expect(brief.boostCurve.map((p) => p.value.value)).toEqual([0.1, 0.2, 0.3]);
  });
});
