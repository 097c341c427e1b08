import {
  type BuildDocument,
  type Catalogue,
  type Evaluation,
  type Ladder,
  type RippleEntry,
  createEvaluator,
  limitLadder,
  ripple,
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
}

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
    return { evaluation, ladder, ripple: moved };
  },
};

export type EvaluationWorker = typeof worker;
expose(worker);
