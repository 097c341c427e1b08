import type { BuildDocument } from '@brookrain/core';
import type { Remote } from 'comlink';
import { useEffect, useState } from 'react';
import { useBuild } from '../build/BuildContext.ts';
import type { EvaluationWork } from './evaluationWork.ts';
import { askWorker } from './useEvaluation.ts';

/** A question to the worker: a function that stays the same, and what it is about. */
export type Question<About, Answer> = (
  worker: Remote<EvaluationWork>,
  document: BuildDocument,
  about: About,
) => Promise<Answer>;

/** What the worker answered to a question about the open build, or why it could not. */
export interface WorkerAnswerState<Answer> {
  readonly answer: Answer | undefined;
  readonly failed: string | undefined;
  /** nothing was answered yet */
  readonly waiting: boolean;
}

/**
 * Asks the worker whenever the build changes or the question is about something else; keeps the
 * last answer meanwhile. `about` is told apart by its value.
 */
export function useWorkerAnswer<About, Answer>(
  ask: Question<About, Answer>,
  about: About,
): WorkerAnswerState<Answer> {
  const { stored: build, catalogue } = useBuild();
  const [state, setState] = useState<WorkerAnswerState<Answer>>({
    answer: undefined,
    failed: undefined,
    waiting: true,
  });
  const key = JSON.stringify(about);
  useEffect(() => {
    let wanted = true;
    askWorker(catalogue)
      .then((worker) => ask(worker, build, JSON.parse(key) as About))
      .then(
        (answer) => wanted && setState({ answer, failed: undefined, waiting: false }),
        (error: unknown) =>
          wanted &&
          setState({
            answer: undefined,
            failed: error instanceof Error ? error.message : String(error),
            waiting: false,
          }),
      );
    return () => {
      wanted = false;
    };
  }, [ask, build, catalogue, key]);
  return state;
}
