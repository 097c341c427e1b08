import type { JudgedParts } from './evaluationWork.ts';
import { type Question, useWorkerAnswer } from './useWorkerAnswer.ts';

const ask: Question<null, JudgedParts> = (worker, document) => worker.candidates(document);

/** Every part judged in its place; undefined until the first answer, then the last one. */
export const useCandidates = (): JudgedParts | undefined => useWorkerAnswer(ask, null).answer;
