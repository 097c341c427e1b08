import { describe, expect, test } from 'vitest';
import type { Catalogue } from '../catalogue/index.ts';
import { demoBuilds, sampleCatalogue } from '../exchange/index.ts';
import { evaluate } from './evaluate.ts';

/** The catalogue with every category listed the other way round. */
function turnedRound({ items }: Catalogue): Catalogue {
  const left = new Map<string, Catalogue['items'][number][]>();
  for (const item of items) left.set(item.category, [...(left.get(item.category) ?? []), item]);
  return { items: items.map(({ category }) => left.get(category)!.pop()!) };
}

describe('the order of items in the catalogue', () => {
  test.each(demoBuilds.map(({ id, document }) => [id, document] as const))(
    'changes no figure and no finding of %s',
    (_id, document) => {
      const [usual, turned] = [sampleCatalogue, turnedRound(sampleCatalogue)].map((catalogue) =>
        evaluate(document, catalogue),
      );
      const figures = (evaluation: typeof usual) =>
        new Map(evaluation!.results.map(({ key, value }) => [key, value]));
      const [before, after] = [figures(usual), figures(turned)];
      expect([...after.keys()].sort()).toEqual([...before.keys()].sort());
      const moved = [...before].filter(([key, value]) => after.get(key) !== value);
      expect(moved.map(([key]) => key)).toEqual([]);
      const ids = (evaluation: typeof usual) => evaluation!.findings.map(({ id }) => id);
      expect(ids(turned)).toEqual(ids(usual));
    },
  );
});
