import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { sampleCatalogue, sandpiper } from '../exchange/index.ts';
import { hashOf, withValueAt } from '../model/index.ts';
import { firstOfEach, numericLeaves } from '../tests/changeLeaf.ts';
import { createEvaluator, evaluate } from './evaluate.ts';
import { limitLadder } from './ladder.ts';

/** A longer run: BROOKRAIN_SEQUENCES=200. */
const SEQUENCES = Number(process.env['BROOKRAIN_SEQUENCES'] ?? 25);
const EDITS = 3;

/** Figures that can be a little larger or smaller without the build becoming another. */
const leaves = firstOfEach(sandpiper, numericLeaves(sandpiper), 2).filter(
  ({ path, value }) => value > 0 && path.at(-1) === 'value',
);

describe('an evaluation', () => {
  test(`differs by nothing that ran before it, over ${SEQUENCES} sequences of edits`, () => {
    const evaluator = createEvaluator();
    let compared = 0;
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            leaf: fc.constantFrom(...leaves),
            factor: fc.double({ min: 0.95, max: 1.05, noNaN: true }),
          }),
          { minLength: 1, maxLength: EDITS },
        ),
        (edits) => {
          let document = sandpiper;
          let answer;
          try {
            for (const { leaf, factor } of edits) {
              document = withValueAt(document, leaf.path, leaf.value * factor);
              answer = evaluator.evaluate(document, sampleCatalogue);
            }
          } catch {
            // A layout that does not go with such a figure is refused with or without a memory.
            expect(() => evaluate(document, sampleCatalogue)).toThrow();
            return;
          }
          compared += 1;
          expect(hashOf(answer)).toBe(hashOf(evaluate(document, sampleCatalogue)));
        },
      ),
      { numRuns: SEQUENCES, seed: 41 },
    );
    expect(compared).toBeGreaterThan(0.9 * SEQUENCES);
  }, 300_000);

  test('finds nothing of what proposals and other evaluators of the process remember', () => {
    const before = hashOf(evaluate(sandpiper, sampleCatalogue));
    const other = withValueAt(sandpiper, 'brief.power.value', sandpiper.brief.power.value * 1.1);
    limitLadder(createEvaluator().check(other, sampleCatalogue));
    expect(hashOf(evaluate(sandpiper, sampleCatalogue))).toBe(before);
  });

  test('by a branch is what the first gives, and leaves the first as it was', () => {
    const first = createEvaluator();
    const known = first.evaluate(sandpiper, sampleCatalogue);
    const other = withValueAt(sandpiper, 'brief.power.value', sandpiper.brief.power.value * 1.1);
    const branch = first.branch();
    expect(hashOf(branch.evaluate(other, sampleCatalogue))).toBe(
      hashOf(evaluate(other, sampleCatalogue)),
    );
    expect(branch.ran).not.toContain('netlist');
    expect(first.evaluate(sandpiper, sampleCatalogue).results).toBe(known.results);
    expect(first.ran).toEqual([]);
  });
});
