import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { cavityChanges, changeInWords } from './cavityChanges.ts';

const plug = (...rows: readonly (readonly [string, string, boolean?])[]) => ({
  cavities: rows.map(([before, after, cut = false], i) => ({
    id: `c${i + 1}`,
    cavity: `${i + 1}`,
    before,
    after,
    cut,
  })),
});
const words = fc.constantFrom('', 'Tachometer', 'Oil lamp', 'Charge lamp', 'Engine speed');

describe('a plug that is kept', () => {
  test('tells what stays, is added, taken out, and moved from where to where', () => {
    const changes = cavityChanges(
      plug(
        ['Tachometer', 'Engine speed from the ECU'],
        ['Oil lamp', 'Oil lamp'],
        ['', 'Tachometer'],
        ['Choke lamp', ''],
        ['', ''],
        ['', 'Check lamp'],
      ),
    );
    expect(changes.map(changeInWords)).toEqual([
      'moved to 3; new wire',
      'stays',
      'from cavity 1',
      'removed',
      'stays empty',
      'new wire',
    ]);
  });

  test('can be put back as it was unless a wire is cut', () => {
    const changes = cavityChanges(plug(['A', 'B', true], ['C', 'D'], ['', 'E', true]));
    expect(changes.map(({ reversible }) => reversible)).toEqual([false, true, true]);
  });

  test('takes words for one wire whatever their case and blanks', () => {
    const [change] = cavityChanges(plug([' Oil lamp', 'oil LAMP ']));
    expect(change!.kind).toBe('stays');
  });

  test('every wire that moves is told at both its ends, and turned round the same moves back', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(words, words), { minLength: 1, maxLength: 8 }), (rows) => {
        // One wire has one end in a plug: rows in which a word stands twice on a side are no case.
        const once = (side: 0 | 1) => {
          const said = rows.map((row) => row[side]).filter((word) => word !== '');
          return new Set(said).size === said.length;
        };
        fc.pre(once(0) && once(1));
        const changes = cavityChanges(plug(...rows));
        const back = cavityChanges(plug(...rows.map(([a, b]) => [b, a] as const)));
        for (const [i, change] of changes.entries()) {
          expect(back[i]!.from).toBe(change.to);
          expect(back[i]!.to).toBe(change.from);
          if (change.to === undefined) continue;
          expect(changes.find(({ cavity }) => cavity === change.to)!.from).toBe(change.cavity);
        }
      }),
    );
  });
});
