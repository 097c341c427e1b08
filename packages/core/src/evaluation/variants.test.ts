import { describe, expect, test } from 'vitest';
import { demoBuilds, kittiwake, lantern, sampleCatalogue } from '../exchange/index.ts';
import { type BuildDocument, readBuild, withValueAt } from '../model/index.ts';
import { firstOf } from '../numerics/index.ts';
import { createEvaluator, evaluate } from './evaluate.ts';
import { otherFuels, withFuels } from './ladderVariants.ts';
import { type Variants, variantsOf } from './variants.ts';

const known = (document: BuildDocument): Variants =>
  variantsOf({ document, catalogue: sampleCatalogue, evaluator: createEvaluator() });
/** What a person sees of an evaluation. */
const seen = ({ results, findings, parts }: ReturnType<typeof evaluate>) => ({
  figures: results.map(({ key, value }) => [key, value]),
  findings: findings.map(({ id, severity, title, because }) => [id, severity, title, because]),
  bought: parts.parts.map(({ item, quantity }) => [item.id, quantity]),
});
const onFuel = (document: BuildDocument, label: string): BuildDocument =>
  withFuels(
    document,
    otherFuels(firstOf(readBuild(document).fuels)).filter(({ name }) => name === label),
  );

describe('variants of a build', () => {
  test.each(demoBuilds.map(({ document }) => [document.name, document] as const))(
    'of %s are what they are from nothing, whichever was asked before',
    (_name, document) => {
      const methanol = onFuel(document, 'Methanol');
      const cold = withValueAt(document, 'brief.ambientCold', { value: 243.15, unit: '°C' });
      const { present, with: changed } = known(document);
      const beside = [methanol, cold, document].map((variant) => seen(changed(variant)));
      const alone = [methanol, cold, document].map((variant) =>
        seen(evaluate(variant, sampleCatalogue)),
      );
      expect(beside).toEqual(alone);
      expect(seen(present)).toEqual(beside[2]);
      expect(beside[0]).not.toEqual(beside[2]);
    },
  );

  test('another fuel leaves netlist, ways in the harness and sneak paths as they are', () => {
    const evaluator = known(kittiwake).evaluator();
    evaluator.evaluate(onFuel(kittiwake, 'Methanol'), sampleCatalogue);
    expect(evaluator.ran).toContain('solvedFluids');
    for (const stage of ['netlist', 'routedHarness', 'sneaks']) {
      expect(evaluator.ran).not.toContain(stage);
    }
  });

  test('do not change what is known of the build itself', () => {
    const evaluator = createEvaluator();
    const { with: changed } = variantsOf({
      document: lantern,
      catalogue: sampleCatalogue,
      evaluator,
    });
    changed(onFuel(lantern, 'Methanol'));
    evaluator.evaluate(lantern, sampleCatalogue);
    expect(evaluator.ran).toEqual([]);
  });
});
