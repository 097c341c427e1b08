import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { pin, signal } from '../../tests/allocationParts.ts';
import type { AllocationProblem } from './allocationProblem.ts';
import { tooFew } from './tooFew.ts';

const kinds = ['low-side', 'high-side', 'pwm'] as const;

/** Whether every signal can have a pin of its own, by trying all ways. */
function fits({ pins, signals }: Pick<AllocationProblem, 'pins' | 'signals'>): boolean {
  const [first, ...rest] = signals;
  if (!first) return true;
  return pins.some(
    (each) =>
      each.capabilities.includes(first.capability) &&
      fits({ pins: pins.filter((other) => other !== each), signals: rest }),
  );
}

const problems = fc
  .record({
    pins: fc.array(fc.subarray([...kinds], { minLength: 1 }), { minLength: 1, maxLength: 5 }),
    signals: fc.array(fc.constantFrom(...kinds), { maxLength: 6 }),
  })
  .map(({ pins, signals }) => ({
    pins: pins.map((capabilities, i) => pin(`P${i}`, capabilities)),
    signals: signals.map((capability, i) => signal(`S${i}`, capability)),
    totals: [],
  }));

describe('too few pins', () => {
  test('is told where, and only where, not all signals fit', () => {
    fc.assert(
      fc.property(problems, (problem) => {
        expect(tooFew(problem).length === 0).toBe(fits(problem));
      }),
      { numRuns: 300 },
    );
  });

  test('names a set that does not fit, and of which any signal left out lets the others in', () => {
    fc.assert(
      fc.property(problems, (problem) => {
        for (const { signals, pins } of tooFew(problem)) {
          const wanting = problem.signals.filter(({ id }) => signals.includes(id));
          const offered = problem.pins.filter(({ id }) => pins.includes(id));
          expect(wanting.length).toBe(offered.length + 1);
          expect(fits({ pins: problem.pins, signals: wanting })).toBe(false);
          for (const left of wanting) {
            const others = wanting.filter((each) => each !== left);
            expect(fits({ pins: problem.pins, signals: others })).toBe(true);
          }
        }
      }),
      { numRuns: 300 },
    );
  });
});
