import { beforeAll, describe, expect, test } from 'vitest';
import type { Catalogue } from '../catalogue/index.ts';
import { demoBuilds, sampleCatalogue } from '../exchange/index.ts';
import { type BuildDocument, readBuild, withValueAt } from '../model/index.ts';
import { firstOf, sameValue } from '../numerics/index.ts';
import { type Evaluation, createEvaluator, evaluate } from './evaluate.ts';
import { type KeptAnswers, createRunner } from './runner/runner.ts';
import type { Source } from './runner/source.ts';
import { slices } from './slices.ts';
import { stages } from './stages.ts';
import { toldEvaluation } from './told/index.ts';

const holdingFunctions = Object.values(stages)
  .filter((each) => each.holdsFunctions)
  .map(({ name }) => name);

/** As a later session reads it: nothing is the same object any more. */
const anew = <Value>(value: Value): Value => structuredClone(value);

describe.each(demoBuilds.map(({ document }) => [document.name, document] as const))(
  'answers that were kept of %s',
  (_, document) => {
    let kept: KeptAnswers;
    let fresh: Evaluation;
    beforeAll(() => {
      const evaluator = createEvaluator();
      fresh = evaluator.evaluate(document, sampleCatalogue);
      kept = evaluator.keep();
    });
    /** Opened again in another session, and how it is answered then. */
    const openedAgain = (changed: BuildDocument, catalogue: Catalogue = anew(sampleCatalogue)) => {
      const evaluator = createEvaluator(anew(kept));
      return { evaluation: evaluator.evaluate(anew(changed), catalogue), ran: evaluator.ran };
    };

    test('nothing is worked out again but what holds functions, and all is said the same', () => {
      const { evaluation, ran } = openedAgain(document);
      expect([...ran].sort()).toEqual([...holdingFunctions].sort());
      expect(sameValue(toldEvaluation(evaluation), toldEvaluation(fresh))).toBe(true);
      expect(sameValue(evaluation.results, fresh.results)).toBe(true);
    });

    test('cures are those of an evaluation from nothing', () => {
      const curesOf = ({ findings }: Evaluation) =>
        findings.map(({ id, cures }) => [id, cures()] as const);
      const known = curesOf(fresh);
      expect(known.some(([, cures]) => cures.length > 0)).toBe(true);
      expect(sameValue(curesOf(openedAgain(document).evaluation), known)).toBe(true);
    });

    test('an edit of meanwhile comes to what it comes to from nothing', () => {
      const edited = withValueAt(document, 'brief.power', {
        value: document.brief.power.value * 0.9,
        unit: 'kW',
      });
      const { evaluation, ran } = openedAgain(edited);
      const fromNothing = evaluate(edited, sampleCatalogue);
      expect(ran).toContain('demand');
      expect(ran).not.toContain('components');
      expect(sameValue(toldEvaluation(evaluation), toldEvaluation(fromNothing))).toBe(true);
    });

    test('another catalogue is looked at, not the one of then', () => {
      const own = firstOf(readBuild(document).injectorRows).item;
      const half = anew(sampleCatalogue).items.map((item) =>
        item.category === 'injector' && item.id === own.id
          ? { ...item, ratedFlow: item.ratedFlow * 0.5 }
          : item,
      );
      const { evaluation } = openedAgain(document, { items: half });
      const fromNothing = evaluate(document, { items: half });
      expect(sameValue(toldEvaluation(evaluation), toldEvaluation(fromNothing))).toBe(true);
      expect(sameValue(evaluation.results, fresh.results)).toBe(false);
    });
  },
);

describe('what an evaluation keeps', () => {
  const sources: Source<unknown>[] = [...Object.values(slices), ...Object.values(stages)];

  test('no two sources of a kind have one name', () => {
    const names = sources.map(({ type, name }) => `${type} ${name}`);
    expect(names.filter((name, i) => names.indexOf(name) !== i)).toEqual([]);
  });

  test('a stage is left out just where its answer cannot be copied', () => {
    const runner = createRunner();
    const { document } = demoBuilds[0]!;
    runner.begin({ build: readBuild(document), catalogue: sampleCatalogue });
    const cannot = Object.values(stages).filter((each) => {
      try {
        structuredClone(runner.get<unknown>(each));
        return false;
      } catch {
        return true;
      }
    });
    expect(cannot.map(({ name }) => name)).toEqual(holdingFunctions);
  });
});
