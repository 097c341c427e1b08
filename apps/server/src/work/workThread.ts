// The thread of long work: works out builds and writes their papers, one after the other.
import { parentPort } from 'node:worker_threads';
import { type BuildReply, type BuildStateReply, readBuildFile } from '@brookrain/contract';
import { itemsOfJson, itemsOfSheet } from '../catalogue/readItems.ts';
import { type Catalogue, createEvaluator } from '@brookrain/core';
import { refusalOf } from '../errors.ts';
import type { Paper } from '../exports/paper.ts';
import { papers } from '../exports/papers.ts';
import type { AnyWorkDone, FromThread, ToThread, Work } from './workMessages.ts';

const evaluator = createEvaluator();
let catalogue: Catalogue = { items: [] };

/** What stands against a build. */
function stateOf({ revision, document }: BuildReply): BuildStateReply {
  const { findings } = evaluator.evaluate(document, catalogue);
  const open = findings.filter(({ accepted }) => accepted === undefined);
  const count = (severity: 'stop' | 'warn'): number =>
    open.filter((finding) => finding.severity === severity).length;
  return { revision, stops: count('stop'), warnings: count('warn') };
}

function done(work: Work): AnyWorkDone | Promise<Paper> {
  switch (work.kind) {
    case 'paper': {
      const { build, asked } = work;
      const evaluation = evaluator.evaluate(build.document, catalogue);
      return papers[asked.kind]({ build, catalogue, evaluation, ...asked });
    }
    case 'state':
      return stateOf(work.build);
    case 'readBuild':
      return readBuildFile(work.text, catalogue);
    case 'readItems':
      return itemsOfJson(work.text);
    case 'readSheet':
      return itemsOfSheet(work.category, work.text);
  }
}

async function answer(work: Work): Promise<FromThread> {
  try {
    return { type: 'done', result: await done(work) };
  } catch (error) {
    const refused = refusalOf(error);
    if (refused) return { type: 'refused', status: refused.status, reply: refused.reply };
    return {
      type: 'failed',
      message: error instanceof Error ? (error.stack ?? error.message) : String(error),
    };
  }
}

parentPort?.on('message', (message: ToThread) => {
  if (message.type === 'catalogue') {
    const had = catalogue.items;
    catalogue = {
      items: message.items.map((item) => (typeof item === 'number' ? had[item]! : item)),
    };
    return;
  }
  void answer(message.work).then((reply) => parentPort?.postMessage(reply));
});
