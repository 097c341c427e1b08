import { sampleCatalogue } from '../exchange/index.ts';
import { type Evaluation, type Evaluator, createEvaluator } from '../evaluation/index.ts';
import type { BuildDocument } from '../model/index.ts';

const evaluators = new Map<string, Evaluator>();

/**
 * What a build comes to, evaluated after the last one of its name as a page does it: that this is
 * what a fresh evaluation gives is a test of its own. Its cures hold until the next is asked for.
 */
export function evaluated(document: BuildDocument, catalogue = sampleCatalogue): Evaluation {
  const evaluator = evaluators.get(document.name) ?? createEvaluator();
  evaluators.set(document.name, evaluator);
  return evaluator.evaluate(document, catalogue);
}
