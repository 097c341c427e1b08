import { describe, expect, test } from 'vitest';
import { demoBuilds, sampleCatalogue } from '../../exchange/index.ts';
import { withValueAt } from '../../model/index.ts';
import { sameValue } from '../../numerics/index.ts';
import { createEvaluator, evaluate } from '../evaluate.ts';
import { deltaOf, withDelta } from './delta.ts';
import { toldEvaluation } from './toldEvaluation.ts';

const builds = demoBuilds.map(({ document }) => [document.name, document] as const);

/** Bytes of a value as it crosses between worker and page, about: numbers as they are, the rest as text. */
const sizeOf = (value: unknown): number => {
  let numbers = 0;
  const text = JSON.stringify(value, (_key, part: unknown) => {
    if (ArrayBuffer.isView(part)) {
      numbers += part.byteLength;
      return undefined;
    }
    return part;
  });
  return numbers + text.length;
};

describe.each(builds)('what the page is told of %s', (_, document) => {
  const evaluation = evaluate(document, sampleCatalogue);
  const told = toldEvaluation(evaluation);

  test('is plain data: copied it is the same', () => {
    expect(sameValue(structuredClone(told), told)).toBe(true);
  });

  test('has every figure once, without its working', () => {
    expect(Object.keys(told.figures)).toHaveLength(evaluation.results.length);
    for (const { key, value, kind, label } of evaluation.results) {
      expect(told.figures[key]).toEqual({ value, kind, label });
    }
  });

  test('has every finding in its order, without its cures', () => {
    expect(told.findings.map(({ id }) => id)).toEqual(evaluation.findings.map(({ id }) => id));
    for (const finding of told.findings) expect(finding).not.toHaveProperty('cures');
  });

  test('has every wire with its figures in the same place of each column', () => {
    const { wires } = evaluation.electrics;
    for (const column of Object.values(told.wireFigures)) expect(column).toHaveLength(wires.length);
    wires.forEach(({ wire, task, drop, size }, i) => {
      expect(told.wires[i]).toMatchObject({ id: wire.id, size: size.size, area: size.area });
      expect(told.wireFigures.length[i]).toBe(task.length);
      expect(told.wireFigures.drop[i]).toBe(drop);
    });
  });

  test('names every part that a wire ends at, as a person calls it', () => {
    for (const { ends } of told.wires) {
      for (const id of ends) {
        const name = told.partNames[id];
        expect(name, id).toBeTruthy();
        expect(name, id).not.toMatch(/^splice |:/);
      }
    }
  });

  test('tells lines and parts on the map without their workings', () => {
    const text = JSON.stringify([told.lines, told.components, told.made]);
    expect(text).not.toContain('"working"');
    expect(told.components).toHaveLength(evaluation.map.components.length);
    expect(told.made.map(({ lineId }) => lineId)).toEqual(
      evaluation.made.map(({ lineId }) => lineId),
    );
  });

  test.each([
    ['the power', 'brief.power', { value: document.brief.power.value * 0.97, unit: 'kW' }],
    ['a limit', 'limits.pumpMargin', { value: 0.31, unit: '%' }],
    ['words', 'description', 'told in other words'],
  ])('after an edit of %s little crosses, and comes to the whole', (_what, path, value) => {
    const evaluator = createEvaluator();
    const before = toldEvaluation(evaluator.evaluate(document, sampleCatalogue));
    const changed = withValueAt(document, path, value);
    const after = toldEvaluation(evaluator.evaluate(changed, sampleCatalogue));
    const delta = deltaOf(before, after);
    expect(sizeOf(delta)).toBeLessThan(100_000);
    expect(sizeOf(delta)).toBeLessThan(sizeOf(before) / 2);
    expect(sameValue(withDelta(structuredClone(before), structuredClone(delta)), after)).toBe(true);
  });
});

test('a build that is opened after another is told as if it were the first', () => {
  const evaluator = createEvaluator();
  const [first, second] = demoBuilds.map(({ document }) => document);
  const before = toldEvaluation(evaluator.evaluate(first!, sampleCatalogue));
  const after = toldEvaluation(evaluator.evaluate(second!, sampleCatalogue));
  const alone = toldEvaluation(evaluate(second!, sampleCatalogue));
  expect(sameValue(after, alone)).toBe(true);
  expect(sameValue(withDelta(before, deltaOf(before, after)), alone)).toBe(true);
  // And back again: what was remembered of the second does not show in the first.
  const again = toldEvaluation(evaluator.evaluate(first!, sampleCatalogue));
  expect(sameValue(again, before)).toBe(true);
});

test('nothing was told before: the delta is the whole', () => {
  const [first] = demoBuilds.map(({ document }) => document);
  const told = toldEvaluation(evaluate(first!, sampleCatalogue));
  expect(sameValue(withDelta(undefined, deltaOf(undefined, told)), told)).toBe(true);
});

test('a build whose harness is not laid out is told too, without one', () => {
  const [first] = demoBuilds.map(({ document }) => document);
  const bare = {
    ...first!,
    harness: { ...first!.harness, segments: {}, breakouts: {}, splices: {}, cut: {}, bought: {} },
  };
  const told = toldEvaluation(evaluate(bare, sampleCatalogue));
  expect(told.wires.length).toBeGreaterThan(50);
  expect(Object.keys(told.figures).filter((key) => key.startsWith('segment.'))).toEqual([]);
  expect(structuredClone(told)).toEqual(told);
});
