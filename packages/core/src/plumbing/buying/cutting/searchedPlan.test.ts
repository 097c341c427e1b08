import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { BadInput } from '../../../quantities/index.ts';
import { cuttingProblem } from '../../../tests/cuttingProblem.ts';
import type { CuttingProblem } from './problem.ts';
import { cuttingPlan, startCuttingPlan } from './searchedPlan.ts';

/** Least bought, then least of offcuts touched, over every way to put pieces into bars. */
function bruteForce({ pieces, stock, offcuts, kerf }: CuttingProblem) {
  let best = { bought: Infinity, touched: Infinity };
  const bars: { room: number; offcut: number }[] = [];
  const walk = (i: number, bought: number, touched: number): void => {
    const piece = pieces[i];
    if (!piece) {
      if (
        bought < best.bought - 1e-9 ||
        (bought < best.bought + 1e-9 && touched < best.touched - 1e-9)
      ) {
        best = { bought, touched };
      }
      return;
    }
    const takes = piece.length + kerf;
    for (const bar of bars) {
      if (bar.room < takes - 1e-9) continue;
      bar.room -= takes;
      walk(i + 1, bought, touched);
      bar.room += takes;
    }
    offcuts.forEach(({ length }, k) => {
      if (bars.some(({ offcut }) => offcut === k) || length + kerf < takes - 1e-9) return;
      bars.push({ room: length + kerf - takes, offcut: k });
      walk(i + 1, bought, touched + length);
      bars.pop();
    });
    for (const length of stock) {
      if (length + kerf < takes - 1e-9) continue;
      bars.push({ room: length + kerf - takes, offcut: -1 });
      walk(i + 1, bought + length, touched);
      bars.pop();
    }
  };
  walk(0, 0, 0);
  return best;
}

/** That a plan cuts every piece once, and nothing out of more than there is. */
function expectSound(
  { pieces, stock, offcuts, kerf }: CuttingProblem,
  plan = cuttingPlan({ pieces, stock, offcuts, kerf }),
) {
  expect(plan.lengths.flatMap((each) => each.pieces).sort()).toEqual(
    pieces.map(({ id }) => id).sort(),
  );
  const length = new Map(pieces.map((piece) => [piece.id, piece.length]));
  for (const each of plan.lengths) {
    const cut = each.pieces.reduce((sum, id) => sum + length.get(id)!, 0);
    expect(cut + kerf * (each.pieces.length - 1)).toBeLessThanOrEqual(each.length + 1e-9);
    expect(each.rest).toBeCloseTo(Math.max(0, each.length - cut - kerf * each.pieces.length), 9);
    if (each.offcutId === undefined) expect(stock).toContain(each.length);
  }
  const used = plan.lengths.flatMap((each) => each.offcutId ?? []);
  expect(new Set(used).size).toBe(used.length);
  const touched = plan.lengths.reduce((sum, each) => sum + each.length, 0);
  const whole = pieces.reduce((sum, piece) => sum + piece.length, 0);
  expect(plan.waste).toBeCloseTo(touched - whole, 9);
  return plan;
}

describe('a cutting plan', () => {
  test.each([
    ['fits exactly: two pieces cost one cut', [0.5, 0.498], [1], [], 0.002, 1],
    ['does not fit by a hair', [0.5, 0.499], [1], [], 0.002, 2],
    ['three pieces cost two cuts', [0.3, 0.3, 0.396], [1], [], 0.002, 1],
    ['takes the shorter length where that holds it', [0.4], [0.5, 1, 3], [], 0.002, 0.5],
    ['uses an offcut before anything is bought', [0.4, 0.9], [1], [0.45], 0.002, 1],
    ['leaves a long offcut where a short one does', [0.4], [1], [0.9, 0.41], 0, 0],
  ] as const)('%s', (_words, lengths, stock, offcuts, kerf, bought) => {
    const plan = expectSound(cuttingProblem(lengths, stock, offcuts, kerf));
    expect(plan.bought).toBeCloseTo(bought, 9);
    expect(plan.proven).toBe(true);
  });

  test('wastes least of the plans that buy as little', () => {
    const plan = expectSound(cuttingProblem([0.4], [1], [0.9, 0.41]));
    expect(plan.waste).toBeCloseTo(0.01, 9);
  });

  test('of nothing buys nothing', () => {
    expect(cuttingPlan(cuttingProblem([], [1], [0.5]))).toMatchObject({
      lengths: [],
      bought: 0,
      waste: 0,
      proven: true,
    });
  });

  test('is the best there is: every other one looked at', () => {
    const tenth = (most: number) => fc.integer({ min: 10, max: most }).map((n) => n / 100);
    fc.assert(
      fc.property(
        fc.array(tenth(95), { minLength: 1, maxLength: 6 }),
        fc.uniqueArray(fc.constantFrom(1, 1.5, 2), { minLength: 1, maxLength: 2 }),
        fc.array(tenth(120), { maxLength: 2 }),
        fc.constantFrom(0, 0.002, 0.01),
        (lengths, stock, offcuts, kerf) => {
          const asked = cuttingProblem(lengths, stock, offcuts, kerf);
          const plan = expectSound(asked);
          const best = bruteForce(asked);
          expect(plan.proven).toBe(true);
          expect(plan.bought).toBeCloseTo(best.bought, 6);
          const whole = lengths.reduce((sum, each) => sum + each, 0);
          expect(plan.waste).toBeCloseTo(best.bought + best.touched - whole, 6);
        },
      ),
      { numRuns: 120, seed: 7 },
    );
  });

  test('of sixty pieces is there at once, with its bound, and only gets better', () => {
    const lengths = Array.from({ length: 60 }, (_, i) => 0.1 + ((i * 37) % 60) * 0.035);
    const asked = cuttingProblem(lengths, [0.5, 1, 2, 3, 5, 10], [1.2, 0.7], 0.002);
    const search = startCuttingPlan(asked);
    const first = expectSound(asked, search.plan);
    expect(first.bound).toBeLessThanOrEqual(first.bought + 1e-9);
    expect(first.bought / first.bound).toBeLessThan(1.1);
    search.step(5000);
    const later = expectSound(asked, search.plan);
    expect(later.bought).toBeLessThanOrEqual(first.bought + 1e-9);
    expect(later.bound).toBe(first.bound);
  });

  test('never buys less than its bound, whatever is asked', () => {
    const whole = [1.1, 1.1, 1.1];
    const plan = cuttingPlan(cuttingProblem(whole, [3]));
    expect(plan.bought).toBeCloseTo(6, 9);
    expect(plan.bound).toBeLessThanOrEqual(plan.bought);
    expect(plan.proven).toBe(true);
  });

  test.each([
    ['a piece that nothing is long enough for', cuttingProblem([1.2], [1], [1.1])],
    ['a piece without length', cuttingProblem([0], [1])],
    ['a length that is sold and is none', cuttingProblem([0.2], [1, 0])],
    ['a cut that gives something back', cuttingProblem([0.2], [1], [], -0.001)],
  ])('%s is refused', (_words, asked) => {
    expect(() => cuttingPlan(asked)).toThrow(BadInput);
  });

  test('of many pieces that just do not go into one length a step is still a step', () => {
    const pieces = Array.from({ length: 36 }, (_, i) => ({ id: `${i}`, length: 1 + i * 0.0137 }));
    const together = pieces.reduce((all, { length }) => all + length, 0);
    const stock = [Math.floor(together) - 1, Math.floor(together)];
    const problem = { pieces, stock, offcuts: [], kerf: 0 };
    // Whether a filling leaves room can be known long before its last piece.
    expectSound(problem, cuttingPlan(problem, 2000));
  });
});
