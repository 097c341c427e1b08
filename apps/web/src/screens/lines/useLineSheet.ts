import type { LineSheet } from '@brookrain/core';
import { type Question, useWorkerAnswer } from '../../evaluation/useWorkerAnswer.ts';

const ask: Question<string, LineSheet | undefined> = (worker, document, lineId) =>
  worker.line(document, lineId);

/** One line as it is made: its card, and the ends it may be given; undefined until it is there. */
export function useLineSheet(lineId: string): LineSheet | undefined {
  const { answer } = useWorkerAnswer(ask, lineId);
  return answer?.card.lineId === lineId ? answer : undefined;
}
