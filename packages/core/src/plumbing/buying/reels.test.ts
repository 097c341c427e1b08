import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { newestOf } from '../../catalogue/index.ts';
import { cutList, demoBuilds, reelCuts, reelList, sampleCatalogue } from '../../exchange/index.ts';
import { withValueAt } from '../../model/index.ts';
import { sum } from '../../numerics/index.ts';
import { evaluated } from '../../tests/evaluated.ts';
import { type PieceOfWire, reelsOf } from './reels.ts';
import { shoppingList } from './shoppingList.ts';

const [thin] = newestOf(sampleCatalogue, 'wire');
const piece = (id: string, colour: string, length: number): PieceOfWire => ({
  id,
  item: { ...thin!, soldStep: 5, soldUpTo: 50 },
  colour,
  length,
});

describe('wire from reels', () => {
  test('of two colours is bought twice, of one together', () => {
    const [red, blue] = reelsOf([
      piece('a', 'red', 2),
      piece('b', 'blue', 2),
      piece('c', 'red', 3),
    ]);
    expect(red).toMatchObject({ colour: 'red', pieces: 2, length: 5, bought: 5 });
    expect(blue).toMatchObject({ colour: 'blue', pieces: 1, length: 2, bought: 5 });
    expect(red!.plan!.lengths.map(({ pieces }) => [...pieces].sort())).toEqual([['a', 'c']]);
  });

  test('holds every piece once, none over the end of its length, and buys no less than is needed', () => {
    const lengths = fc.array(fc.integer({ min: 5, max: 900 }), { minLength: 1, maxLength: 14 });
    fc.assert(
      fc.property(lengths, (hundredths) => {
        const pieces = hundredths.map((length, i) => piece(`${i}`, 'red', length / 100));
        const [reel] = reelsOf(pieces);
        const { lengths: cut, bought } = reel!.plan!;
        expect(cut.flatMap((each) => each.pieces).sort()).toEqual(
          pieces.map(({ id }) => id).sort(),
        );
        for (const each of cut) {
          const taken = sum(each.pieces.map((id) => hundredths[Number(id)]! / 100));
          expect(taken + each.rest).toBeCloseTo(each.length, 9);
          expect(each.rest).toBeGreaterThanOrEqual(-1e-9);
        }
        // It comes by five metres: any reel of that sum would do, were it one.
        expect(bought).toBe(5 * Math.ceil(reel!.length / 5 - 1e-9));
      }),
      { numRuns: 40 },
    );
  });

  test('longer than any that is sold is bought by the metre, without a plan', () => {
    const [reel] = reelsOf([piece('a', 'red', 62.3)]);
    expect(reel).toMatchObject({ plan: undefined, bought: 63 });
  });

  test.each(demoBuilds.map(({ document }) => [document.name, document] as const))(
    'of %s: the order list buys what the reels ask, size by size',
    (_name, demo) => {
      const evaluation = evaluated(withValueAt(demo, 'harness.cut', {}));
      const bySize = new Map<string, number>();
      for (const { size, bought } of reelList(evaluation)) {
        bySize.set(size, (bySize.get(size) ?? 0) + bought);
      }
      const { lines } = shoppingList({
        ...evaluation.parts,
        shelf: [],
        offcuts: [],
        catalogue: sampleCatalogue,
      });
      const ordered = lines.flatMap(({ item, buy }) =>
        item.category === 'wire' ? [[item.size, buy] as const] : [],
      );
      expect(ordered.length).toBeGreaterThan(3);
      expect(new Map(ordered)).toEqual(bySize);
    },
  );

  test.each(demoBuilds.map(({ document }) => [document.name, document] as const))(
    'of %s: line by line the lengths hold every wire once, and what is bought',
    (_name, demo) => {
      const evaluation = evaluated(withValueAt(demo, 'harness.cut', {}));
      const reels = reelList(evaluation);
      const cuts = reelCuts(reels);
      const wires = cuts.flatMap(({ wires: numbers }) => numbers.split(' ').map(Number));
      const toCut = cutList(evaluation, {}).filter(({ is }) => is !== 'cut');
      const inOrder = (numbers: number[]) => numbers.sort((a, b) => a - b);
      expect(inOrder(wires)).toEqual(inOrder(toCut.map(({ number }) => number)));
      expect(sum(cuts.map(({ length }) => length))).toBeCloseTo(
        sum(reels.map(({ bought }) => bought)),
        9,
      );
      for (const { size, colour, length, wires: numbers, rest } of cuts) {
        const own = toCut.filter(({ number }) => numbers.split(' ').includes(`${number}`));
        expect(own.every((wire) => wire.size === size && wire.colour === colour)).toBe(true);
        expect(sum(own.map((wire) => wire.length)) + rest).toBeCloseTo(length, 1);
      }
    },
  );

  test('of what is longer than any length the line says that it comes by the metre', () => {
    const reels = [
      { size: '0.5 mm²', colour: 'red', wires: 1, length: 62.3, bought: 63, lengths: [] },
    ];
    expect(reelCuts(reels)).toEqual([
      { size: '0.5 mm²', colour: 'red', of: 'by the metre', length: 63, wires: '', rest: 0.7 },
    ]);
  });
});
