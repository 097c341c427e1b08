import { serialize } from 'node:v8';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { kittiwake, lantern, sampleCatalogue } from '../../exchange/index.ts';
import { withValueAt } from '../../model/index.ts';
import { createEvaluator } from '../evaluate.ts';
import { deltaOf, withDelta } from './delta.ts';
import { toldEvaluation } from './toldEvaluation.ts';

describe('what changed', () => {
  test('leads from any value to any other', () => {
    const anything = fc.jsonValue({ maxDepth: 4 });
    fc.assert(
      fc.property(anything, anything, (before, after) => {
        fc.pre(!/__proto__/.test(JSON.stringify([before, after])));
        expect(withDelta(before, deltaOf(before, after))).toEqual(after);
      }),
      { numRuns: 500 },
    );
  });

  test('keeps parts that did not change as the same objects', () => {
    const before = { a: { x: 1, name: 'a' }, b: { x: 2, name: 'b' } };
    const after = { a: { x: 1, name: 'a' }, b: { x: 2, name: 'other' }, c: 3 };
    const made = withDelta(before, deltaOf(before, after)) as typeof before;
    expect(made).toEqual(after);
    expect(made.a).toBe(before.a);
  });

  test('is only numbers where nothing else changed', () => {
    const before = { name: 'a', at: [1, 2, { y: 3 }], none: null };
    const delta = deltaOf(before, { name: 'a', at: [1, 5, { y: 7 }], none: null });
    expect(delta).toEqual({ type: 'numbers', values: Float64Array.from([1, 5, 7]) });
  });
});

test('few numbers among many cross with their places', () => {
  fc.assert(
    fc.property(
      fc.array(fc.double({ noNaN: true }), { minLength: 20, maxLength: 60 }),
      fc.dictionary(fc.integer({ min: 0, max: 19 }).map(String), fc.double({ noNaN: true }), {
        maxKeys: 6,
      }),
      (numbers, changes) => {
        const before = { numbers, name: 'a' };
        const after = { numbers: numbers.map((n, i) => changes[i] ?? n), name: 'a' };
        const delta = deltaOf(before, after);
        expect(withDelta(before, delta)).toEqual(after);
        const changed = numbers.filter((n, i) => !Object.is(n, changes[i] ?? n)).length;
        if (delta.type === 'few') {
          expect(delta.at).toHaveLength(changed);
          expect(12 * changed).toBeLessThan(8 * numbers.length);
        } else expect(delta.type).toBe(changed === 0 ? 'same' : 'numbers');
      },
    ),
  );
});

describe.each([
  ['Lantern', lantern],
  ['Kittiwake', kittiwake],
])('an edit of %s', (_name, document) => {
  const evaluator = createEvaluator();
  const told = (build: typeof document) =>
    toldEvaluation(evaluator.evaluate(build, sampleCatalogue));
  const before = told(document);

  test.each([
    ['brief.power', { value: 150e3, unit: 'kW' }],
    ['brief.ambientHot', { value: 303, unit: '°C' }],
    ['fuelCircuits.main.elements.feed.name', 'Long line'],
    ['limits.pumpMargin', { value: 0.5, unit: '%' }],
    ['description', 'told'],
  ])('at %s crosses in less than 100 kB and arrives whole', (path, value) => {
    const after = told(withValueAt(document, path, value));
    const delta = deltaOf(before, after);
    expect(withDelta(before, delta)).toEqual(after);
    expect(serialize(delta).length).toBeLessThan(100e3);
  });
});
