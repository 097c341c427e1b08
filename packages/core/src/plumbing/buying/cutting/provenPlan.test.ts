import fc from 'fast-check';
import { beforeAll, describe, expect, test } from 'vitest';
import { type ProgramSolver, seededUniform } from '../../../numerics/index.ts';
import { cuttingProblem } from '../../../tests/cuttingProblem.ts';
import { integerSolver } from '../../../tests/integerSolver.ts';
import type { CuttingPlan, CuttingProblem } from './problem.ts';
import { type CuttingProof, provenCuttingPlan } from './provenPlan.ts';
import { cuttingPlan } from './searchedPlan.ts';

let solve: ProgramSolver;
beforeAll(async () => {
  solve = await integerSolver();
});

/** Lengths in steps of 5 mm, all over a range. */
function scattered(count: number, from: number, to: number): number[] {
  const uniform = seededUniform(4);
  return Array.from(
    { length: count },
    () => Math.round((from + (to - from) * uniform()) * 200) / 200,
  );
}

/** The plan as it is before anything is looked for: each piece from a length of its own. */
const unproven = (asked: CuttingProblem): CuttingPlan => ({
  ...cuttingPlan(asked, 0),
  proven: false,
});

/** Longer than any proof here takes on a slow machine, s. */
const NO_LIMIT = 3600;

function proofOf(asked: CuttingProblem, from?: CuttingPlan, seconds = NO_LIMIT, by = solve) {
  const steps: CuttingProof[] = [];
  const proof = provenCuttingPlan(asked, by, from, seconds);
  for (let step = proof.next(); ; step = proof.next()) {
    if (step.done) return { plan: step.value, steps };
    steps.push(step.value);
  }
}

describe('a proof by integer programs', () => {
  test('finds what the search finds that looks at everything', () => {
    const tenth = (most: number) => fc.integer({ min: 10, max: most }).map((n) => n / 100);
    fc.assert(
      fc.property(
        fc.array(tenth(95), { minLength: 1, maxLength: 7 }),
        fc.uniqueArray(fc.constantFrom(1, 1.5, 2), { minLength: 1, maxLength: 2 }),
        fc.array(tenth(120), { maxLength: 3 }),
        fc.constantFrom(0, 0.002, 0.01),
        (lengths, stock, offcuts, kerf) => {
          const asked = cuttingProblem(lengths, stock, offcuts, kerf);
          const { plan } = proofOf(asked, unproven(asked));
          const searched = cuttingPlan(asked);
          expect(plan.proven).toBe(true);
          expect(plan.bought).toBeCloseTo(searched.bought, 6);
          expect(plan.waste).toBeCloseTo(searched.waste, 6);
          expect(plan.lengths.flatMap(({ pieces }) => pieces).sort()).toEqual(
            asked.pieces.map(({ id }) => id).sort(),
          );
        },
      ),
      { numRuns: 60, seed: 11 },
    );
  });

  test('for which there is no time claims nothing and keeps the plan there is', () => {
    const asked = cuttingProblem(scattered(12, 0.3, 2.4), [3], [], 0.002);
    const before = unproven(asked);
    const { plan } = proofOf(asked, before, 0);
    expect(plan.proven).toBe(false);
    expect(plan.bought).toBeCloseTo(before.bought, 9);
  });

  test('whose last choice was stopped claims nothing', () => {
    const asked = cuttingProblem(scattered(30, 0.3, 2.4), [3], [], 0.002);
    const before = unproven(asked);
    const stopping: ProgramSolver = (program, seconds) =>
      program.whole ? { status: 'unknown' } : solve(program, seconds);
    const { plan } = proofOf(asked, before, NO_LIMIT, stopping);
    // Filled bar by bar it may meet its bound; then that is the proof.
    expect(plan.proven).toBe(Math.abs(plan.bought - plan.bound) < 1e-6);
    expect(plan.bound).toBeLessThanOrEqual(plan.bought + 1e-9);
  });

  test('of sixty pieces from bars of three metres that no capacity proves', () => {
    const asked = cuttingProblem(scattered(60, 0.3, 2.4), [3], [], 0.002);
    const before = cuttingPlan(asked, 3000);
    const { plan, steps } = proofOf(asked, before);
    expect(before.proven).toBe(false);
    expect(plan.proven).toBe(true);
    expect(plan.bound).toBeCloseTo(plan.bought, 9);
    expect(plan.bought).toBeLessThanOrEqual(before.bought + 1e-9);
    // The bound never falls and the plan never gets worse on the way.
    for (const [i, step] of steps.entries()) {
      const earlier = steps[i - 1] ?? { plan: before };
      expect(step.plan.bound).toBeGreaterThanOrEqual(earlier.plan.bound - 1e-9);
      expect(step.plan.bought).toBeLessThanOrEqual(earlier.plan.bought + 1e-9);
    }
  });
});
