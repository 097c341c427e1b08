import { describe, expect, test } from 'vitest';
import { demoBuilds, lantern, sampleCatalogue } from '../exchange/index.ts';
import { type BuildFinding, withValueAt } from '../model/index.ts';
import { createEvaluator, evaluate } from './evaluate.ts';

const curesOf = (findings: readonly BuildFinding[]) =>
  findings.map(({ id, cures }) => ({ id, texts: cures().map(({ text }) => text) }));

describe('cures that are asked for', () => {
  test.each(demoBuilds.map(({ document }) => [document.name, document] as const))(
    'no two findings of %s have one id: a cure is asked for by it',
    (_, document) => {
      const ids = evaluate(document, sampleCatalogue).findings.map(({ id }) => id);
      expect(ids.length).toBeGreaterThan(0);
      expect(new Set(ids).size).toBe(ids.length);
    },
  );

  test('are those of the evaluation that found it, though another came since', () => {
    const evaluator = createEvaluator();
    const { findings } = evaluator.evaluate(lantern, sampleCatalogue);
    const atOnce = curesOf(evaluate(lantern, sampleCatalogue).findings);
    expect(atOnce.some(({ texts }) => texts.length > 0)).toBe(true);
    const stronger = withValueAt(lantern, 'brief.power', { value: 190_000, unit: 'kW' });
    const later = evaluator.evaluate(stronger, sampleCatalogue);
    expect(curesOf(findings)).toEqual(atOnce);
    expect(curesOf(later.findings)).toEqual(curesOf(evaluate(stronger, sampleCatalogue).findings));
    expect(curesOf(later.findings)).not.toEqual(atOnce);
  });

  test('findings that say the same over the same numbers stay one list', () => {
    const evaluator = createEvaluator();
    const { findings } = evaluator.evaluate(lantern, sampleCatalogue);
    const renamed = { ...structuredClone(lantern), description: 'told in other words' };
    expect(evaluator.evaluate(renamed, sampleCatalogue).findings).toBe(findings);
  });

  test('but for them a finding is plain data', () => {
    const { findings } = evaluate(lantern, sampleCatalogue);
    for (const { cures, ...bare } of findings) {
      expect(typeof cures).toBe('function');
      expect(structuredClone(bare)).toEqual(bare);
    }
  });
});
