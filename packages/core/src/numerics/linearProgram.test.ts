import { describe, expect, test } from 'vitest';
import { type LinearProgram, type TextSolution, solverByText } from './linearProgram.ts';
import { searchTime } from './searchTime.ts';

/** Two of one kind or one of another, at least three in all. */
const program: LinearProgram = {
  columns: [
    { cost: 1, upper: 2, entries: [[0, 1]] },
    { cost: 5, upper: 9, entries: [[0, 1]] },
  ],
  rows: [{ lower: 3, upper: Infinity }],
  whole: true,
};
const answered = (Status: string, amounts: readonly (number | undefined)[]): TextSolution => ({
  Status,
  ObjectiveValue: 7,
  Columns: Object.fromEntries(
    amounts.map((amount, j) => [
      `x${j}`,
      { Index: j, ...(amount === undefined ? {} : { Primal: amount }) },
    ]),
  ),
  Rows: [],
});
const statusOf = (Status: string, amounts: readonly (number | undefined)[]): string =>
  solverByText(() => answered(Status, amounts))(program, 1).status;

describe('what a solver answers', () => {
  test('at the end of its search, and at the end of its time', () => {
    expect(statusOf('Optimal', [2, 1])).toBe('optimal');
    expect(statusOf('Time limit reached', [2, 1])).toBe('stopped');
    expect(statusOf('Infeasible', [undefined, undefined])).toBe('infeasible');
  });

  test.each([
    ['a row below its limit', [2, 0]],
    ['more of a column than there may be', [3, 0]],
    ['less than none of a column', [-1, 4]],
    ['parts of what is counted in whole numbers', [1.5, 1.5]],
    ['no amount', [undefined, 3]],
    ['no number', [Number.NaN, 3]],
  ])('stopped with %s it found nothing, and excluded nothing', (_what, amounts) => {
    expect(statusOf('Time limit reached', amounts)).toBe('unknown');
  });

  test('is given the seconds that it may take', () => {
    const given: unknown[] = [];
    const solve = solverByText((_text, options) => {
      given.push(options.time_limit);
      return answered('Optimal', [2, 1]);
    });
    solve(program, 4);
    solve(program);
    expect(given).toEqual([4, undefined]);
  });
});

test('the time of a search runs out and is never less than none', () => {
  let now = 1000;
  const time = searchTime(2, () => now);
  expect(time.left()).toBe(2);
  now += 1500;
  expect(time.left()).toBe(0.5);
  now += 1500;
  expect(time.left()).toBe(0);
});
