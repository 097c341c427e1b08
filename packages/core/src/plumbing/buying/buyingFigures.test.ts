import { describe, expect, test } from 'vitest';
import { newestOf } from '../../catalogue/index.ts';
import { sampleCatalogue } from '../../exchange/index.ts';
import { entryAt } from '../../numerics/index.ts';
import { byDefault } from '../../results/index.ts';
import { buyingFigures } from './buyingFigures.ts';
import { AT_ONCE, cuttingPlan } from './cutting/index.ts';
import { cuttingOf } from './hoseCutting.ts';
import type { PartNeed } from './partsNeeded.ts';

const hose = entryAt(newestOf(sampleCatalogue, 'hose'), 0);

/** A need for pieces of one hose, of some lengths m. */
const needOf = (lengths: readonly number[]): PartNeed =>
  ({
    item: hose,
    unit: 'metre',
    quantity: lengths.reduce((sum, length) => sum + length, 0),
    pieces: lengths.map((length, i) => ({
      id: `${i}`,
      name: `Piece ${i}`,
      length,
      from: byDefault(length, 'typed'),
    })),
    uses: [],
  }) as unknown as PartNeed;

/** The label of what is bought, and whether its plan is proven. */
function boughtOf(lengths: readonly number[]) {
  const need = needOf(lengths);
  const label = buyingFigures([need], []).find(({ figure }) => figure === 'hose.bought')?.label;
  const problem = cuttingOf(hose, need.pieces, []);
  return { label, proven: problem && cuttingPlan(problem, AT_ONCE).proven };
}

describe('the figure of hose to buy', () => {
  test('is plain where no plan buys less', () => {
    const { label, proven } = boughtOf([1, 0.4]);
    expect(proven).toBe(true);
    expect(label).toBe(`${hose.designation}, to buy`);
  });

  test('says so where that is not proven', () => {
    const many = Array.from({ length: 60 }, (_, i) => 0.317 + 0.0413 * ((i * 17) % 60));
    const { label, proven } = boughtOf(many);
    expect(proven).toBe(false);
    expect(label).toBe(`${hose.designation}, to buy (not proven to be the least)`);
  });
});
