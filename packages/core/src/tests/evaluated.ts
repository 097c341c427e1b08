import { sampleCatalogue } from '../exchange/index.ts';
import {
  type Evaluation,
  type Evaluator,
  type KnownBuild,
  createEvaluator,
} from '../evaluation/index.ts';
import type { BuildDocument } from '../model/index.ts';

const evaluators = new Map<string, Evaluator>();

/** The evaluator that knows the last build of this name. */
function evaluatorOf({ name }: BuildDocument): Evaluator {
  const evaluator = evaluators.get(name) ?? createEvaluator();
  evaluators.set(name, evaluator);
  return evaluator;
}

/**
 * What a build comes to, evaluated after the last one of its name as a page does it: that this is
 * what a fresh evaluation gives is a test of its own. Its cures hold until the next is asked for.
 */
export function evaluated(document: BuildDocument, catalogue = sampleCatalogue): Evaluation {
  return evaluatorOf(document).evaluate(document, catalogue);
}

/** A build to compare variants of, known as a page knows it. */
export const knownBuild = (document: BuildDocument, catalogue = sampleCatalogue): KnownBuild => ({
  document,
  catalogue,
  evaluator: evaluatorOf(document),
});
