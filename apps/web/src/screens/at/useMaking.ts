import type { MakingSheet } from '@brookrain/core';
import { type Question, useWorkerAnswer } from '../../evaluation/useWorkerAnswer.ts';

const ask: Question<string, MakingSheet> = (worker, document) => worker.making(document);

/** What is made of the open build: its wires in the order in which they are cut, and its plugs. */
export const useMaking = () => useWorkerAnswer(ask, '');
