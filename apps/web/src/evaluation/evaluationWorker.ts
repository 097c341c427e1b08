import {
  type BuildDocument,
  type Catalogue,
  type Evaluation,
  type Ladder,
  type RippleEntry,
  createEvaluator,
  differences,
  evaluate,
  limitLadder,
  ripple,
  rules,
  shareUnchanged,
} from '@brookrain/core';
import { expose } from 'comlink';

const evaluator = createEvaluator();
let catalogue: Catalogue = { items: [] };
let lastDocument: BuildDocument | undefined;
let lastBuild: string | undefined;
let lastEvaluation: Evaluation | undefined;

export interface WorkerAnswer {
  readonly evaluation: Evaluation;
  readonly ladder: Ladder;
  /** what moved since the last evaluation of the same build */
  readonly ripple: readonly RippleEntry[];
  /** where the limit of each rule comes from, by rule id */
  readonly sources: Readonly<Record<string, string>>;
}

const sources = Object.fromEntries(rules.map((rule) => [rule.id, rule.source]));

const worker = {
  setCatalogue(next: Catalogue): void {
    catalogue = next;
  },
  evaluate(build: string, document: BuildDocument): WorkerAnswer {
    const shared = shareUnchanged(lastDocument, document);
    const evaluation = evaluator.evaluate(shared, catalogue);
    const ladder = limitLadder(evaluator.check(shared, catalogue));
    const moved = lastBuild === build && lastEvaluation ? ripple(lastEvaluation, evaluation) : [];
    lastDocument = shared;
    lastBuild = build;
    lastEvaluation = evaluation;
    return { evaluation, ladder, ripple: moved, sources };
  },
  /** What is different downstream between two documents, ranked; every figure is looked at. */
  compare(before: BuildDocument, after: BuildDocument): readonly RippleEntry[] {
    return differences(evaluate(before, catalogue), evaluate(after, catalogue), {
      figures: () => true,
    });
  },
};

export type EvaluationWorker = typeof worker;
expose(worker);
