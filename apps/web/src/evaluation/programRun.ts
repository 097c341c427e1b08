import { type Remote, releaseProxy, wrap } from 'comlink';
import type { ProgramWork } from './programWork.ts';

/** An integer program that is being solved, and how to leave it. */
export interface ProgramRun<Answer> {
  /** undefined when it was left */
  readonly answer: Promise<Answer | undefined>;
  leave(): void;
}

/** Asks a worker of its own, which ends with the answer or when it is left. */
export function runProgram<Answer>(
  ask: (work: Remote<ProgramWork>) => Promise<Answer>,
): ProgramRun<Answer> {
  const worker = new Worker(new URL('./programWorker.ts', import.meta.url), {
    type: 'module',
    name: 'programs',
  });
  const work = wrap<ProgramWork>(worker);
  let left: () => void = () => undefined;
  const leaving = new Promise<undefined>((resolve) => {
    left = () => resolve(undefined);
  });
  const failing = new Promise<never>((_, reject) => {
    worker.addEventListener('error', (event) => reject(new Error(event.message)));
  });
  const answer = Promise.race([ask(work), leaving, failing]).finally(() => {
    work[releaseProxy]();
    worker.terminate();
  });
  return { answer, leave: left };
}
