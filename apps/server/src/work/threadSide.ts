import { parentPort } from 'node:worker_threads';
import type { Catalogue } from '@brookrain/core';
import { refusalOf } from '../errors.ts';
import type { AnyJobDone, FromThread, Job, ToThread } from './workMessages.ts';

/** What a thread needs to answer its jobs. */
export interface ThreadContext {
  readonly catalogue: Catalogue;
  readonly tell: (message: FromThread) => void;
}

async function answer(
  run: (context: ThreadContext) => AnyJobDone | Promise<AnyJobDone>,
  context: ThreadContext,
): Promise<FromThread> {
  try {
    return { type: 'done', result: await run(context) };
  } catch (error) {
    const refused = refusalOf(error);
    if (refused) return { type: 'refused', status: refused.status, reply: refused.reply };
    return {
      type: 'failed',
      message: error instanceof Error ? (error.stack ?? error.message) : String(error),
    };
  }
}

/** Answers jobs one after the other, for as long as the thread lives. */
export function serveJobs(
  run: (job: Job, context: ThreadContext) => AnyJobDone | Promise<AnyJobDone>,
): void {
  const port = parentPort;
  if (!port) throw new Error('this is the file of a thread');
  let catalogue: Catalogue = { items: [] };
  const tell = (message: FromThread): void => port.postMessage(message);
  port.on('message', (message: ToThread) => {
    if (message.type === 'catalogue') {
      const had = catalogue.items;
      catalogue = {
        items: message.items.map((item) => (typeof item === 'number' ? had[item]! : item)),
      };
      return;
    }
    const { job } = message;
    void answer((context) => run(job, context), { catalogue, tell }).then(tell);
  });
}

/** A job that this thread does not do. */
export const notMine = ({ kind }: Job): never => {
  throw new Error(`this thread does not do "${kind}"`);
};
