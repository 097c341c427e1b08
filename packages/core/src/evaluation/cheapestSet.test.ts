import { describe, expect, test } from 'vitest';
import { type BuildDocument, readBuild, withValueAt } from '../model/index.ts';
import { applyCommand } from './commands/applyCommand.ts';
import { withEndsAlong } from './commands/withEndsAlong.ts';
import { lantern, sampleCatalogue, sandpiper } from '../exchange/index.ts';
import { type SetWish, startCheapestSet } from './cheapestSet.ts';
import { createEvaluator } from './evaluate.ts';
import { smallestLines } from '../fuel/index.ts';
import { evaluated } from '../tests/evaluated.ts';

const found = (build: BuildDocument, wish: Partial<SetWish> = {}) => {
  const search = startCheapestSet(createEvaluator().check(build, sampleCatalogue), {
    circuitId: 'main',
    pumpMargin: 0.2,
    source: 'catalogue',
    ...wish,
  });
  while (!search.answer) search.step(100);
  return search.answer;
};
const troubles = (build: BuildDocument): Set<string> =>
  new Set(
    evaluated(build)
      .findings.filter((f) => f.severity !== 'note')
      .map((f) => f.id),
  );

describe('the cheapest set', () => {
  test('holds: no new stop or warning, margin as wished, never dearer than what is there', () => {
    for (const build of [lantern, sandpiper]) {
      const answer = found(build);
      if (answer.state === 'none') throw new Error(answer.reason);
      const next = applyCommand(build, answer.command).document;
      const before = troubles(build);
      expect([...troubles(next)].filter((id) => !before.has(id))).toHaveLength(
        answer.brings.length,
      );
      const margin = evaluated(next).fluids[0]!.peak!.margin;
      expect(margin).toBeGreaterThanOrEqual(0.2);
      expect(margin).toBeCloseTo(answer.pumpMargin, 9);
      expect(answer.price).toBeLessThanOrEqual(answer.priceNow + 1e-9);
    }
  });

  test('is no dearer when less is wished, and grows with the wish', () => {
    const price = (pumpMargin: number): number => {
      const answer = found(lantern, { pumpMargin });
      return answer.state === 'found' ? answer.price : Infinity;
    };
    expect(price(0.1)).toBeLessThanOrEqual(price(0.5));
    expect(price(0.5)).toBeLessThanOrEqual(price(0.9));
  });

  test('counts hose as it is sold, with its ends', () => {
    const now = (build: BuildDocument): number => {
      const answer = found(build);
      if (answer.state === 'none') throw new Error(answer.reason);
      return answer.priceNow;
    };
    const item = (id: string) => sampleCatalogue.items.find((each) => each.id === id)!;
    const bent = withValueAt(lantern, 'assemblies.return.to.item', { id: 'E6-180', revision: 1 });
    expect(now(bent) - now(lantern)).toBeCloseTo(item('E6-180').price - item('E6-60').price, 6);
    const bare = withValueAt(lantern, 'assemblies', {});
    // A feed of 3.4 m and a return of 4.2 m are bought as 3.5 m and 4.5 m.
    const ends = ['E6-0', 'AB6', 'E6-90', 'AB8-6', 'E6-90', 'AB6', 'E6-60'];
    expect(now(lantern) - now(bare)).toBeCloseTo(
      ends.reduce((sum, id) => sum + item(id).price, 0),
      6,
    );
  });

  test('says so when nothing holds', () => {
    expect(found(lantern, { pumpMargin: 2.9 }).state).toBe('none');
  });

  test('puts right what stops: E85 in Lantern', () => {
    const hose = { id: 'HBP-6', revision: 1 };
    const e85 = readBuild(lantern).fuelCircuits[0]!.elements.reduce<BuildDocument>(
      (doc, element) =>
        element.kind === 'line'
          ? withValueAt(doc, ['fuelCircuits', 'main', 'elements', element.id, 'item'], {
              ...hose,
              id: element.role === 'suction' ? 'HBP-10' : 'HBP-6',
            })
          : doc,
      withValueAt(lantern, 'fuels.pump-fuel.ethanol', { value: 0.85, unit: '%' }),
    );
    const answer = found(e85);
    if (answer.state === 'none') throw new Error(answer.reason);
    const next = evaluated(applyCommand(e85, answer.command).document);
    for (const id of ['injector.duty:primary', 'pump.margin:main', 'filter.media:fine']) {
      expect(next.findings.filter((f) => f.severity === 'stop').map((f) => f.id)).not.toContain(id);
    }
  });

  test('from the shelf takes only what lies there or is built in', () => {
    // A tank that stays cool: no part is kept out for warming it.
    const cool = withValueAt(lantern, 'fuelCircuits.main.elements.tank.heatLoss', {
      value: 500,
      unit: 'W/K',
    });
    const shelved = withValueAt(cool, 'shelf', {
      F10A: { item: { id: 'F10A', revision: 1 }, count: 1 },
    });
    const answer = found(shelved, { source: 'shelf' });
    if (answer.state === 'none') throw new Error(answer.reason);
    const filter = answer.parts.find((p) => p.place === 'Fine filter')!;
    expect(filter.designation).toContain('F10A');
    expect(filter.price).toBe(0);
    expect(answer.parts.filter((p) => p.changed)).toEqual([filter]);
  });

  test('in small steps finds the same as in one', () => {
    const checked = createEvaluator().check(lantern, sampleCatalogue);
    const wish = { circuitId: 'main', pumpMargin: 0.3, source: 'catalogue' } as const;
    const slow = startCheapestSet(checked, wish);
    while (!slow.answer) slow.step(1);
    const fast = startCheapestSet(checked, wish);
    fast.step(1e6);
    expect(slow.answer).toEqual(fast.answer);
    expect(slow.tried).toBe(fast.tried);
  });
});

describe('the smallest hose', () => {
  test('of each line brings nothing new, and a suction near boiling is not made worse', () => {
    const hot = withValueAt(lantern, 'brief.fuelTemperatureHot', { value: 319.4, unit: '°C' });
    const checked = createEvaluator().check(hot, sampleCatalogue);
    const before = troubles(hot);
    const suction = smallestLines(checked, 0).find((l) => l.elementId === 'suction')!;
    expect(suction.smallest.id).toBe(suction.present.id);
    for (const line of smallestLines(checked, 0)) {
      const fitted = (id: string): string[] => {
        const ref = { id, revision: 1 };
        const path = ['fuelCircuits', 'main', 'elements', line.elementId, 'item'];
        const exchange = withEndsAlong(hot, { name: 'set', path, value: ref }, sampleCatalogue);
        const build = applyCommand(hot, exchange).document;
        return [...troubles(build)].filter((f) => !before.has(f));
      };
      expect(line.smallest.bore).toBeLessThanOrEqual(line.present.bore);
      expect(fitted(line.smallest.id), line.name).toEqual([]);
    }
  });
});
