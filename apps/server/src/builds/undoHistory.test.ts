import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { type HistoryStep, undoStacks } from './undoHistory.ts';

/** What undoing goes by: not by words. */
type Step = Omit<HistoryStep, 'words'>;

describe('undo history', () => {
  test('creating is not undone', () => {
    expect(undoStacks([{ number: 1, kind: 'create', target: null }])).toEqual({
      undo: [],
      redo: [],
    });
  });

  test('a new edit forgets what could be redone', () => {
    const history: Step[] = [
      { number: 1, kind: 'create', target: null },
      { number: 2, kind: 'edit', target: null },
      { number: 3, kind: 'undo', target: 2 },
      { number: 4, kind: 'edit', target: null },
    ];
    expect(undoStacks(history)).toEqual({ undo: [4], redo: [] });
  });

  test('follows any sequence of edit, undo and redo like two stacks', () => {
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom('edit', 'undo', 'redo'), { maxLength: 60 }),
        (wishes) => {
          const history: Step[] = [{ number: 1, kind: 'create', target: null }];
          const done: number[] = [];
          let undone: number[] = [];
          for (const wish of wishes) {
            const number = history.length + 1;
            if (wish === 'edit') {
              history.push({ number, kind: 'edit', target: null });
              done.push(number);
              undone = [];
            } else if (wish === 'undo' && done.length > 0) {
              const target = done.pop()!;
              undone.push(target);
              history.push({ number, kind: 'undo', target });
            } else if (wish === 'redo' && undone.length > 0) {
              const target = undone.pop()!;
              done.push(target);
              history.push({ number, kind: 'redo', target });
            }
            expect(undoStacks(history)).toEqual({ undo: done, redo: undone });
          }
        },
      ),
    );
  });
});
