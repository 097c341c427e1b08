// The thread of long work: evaluates builds, writes their papers and reads files from outside.
import 'reflect-metadata';
import type { BuildStateReply } from '@brookrain/contract';
import type { BuildDocument, Catalogue } from '@brookrain/core';
import { KnownEvaluators } from '../answers/knownEvaluators.ts';
import { programShelf } from '../answers/programShelf.ts';
import { itemsOfJson, itemsOfSheet } from '../catalogue/readItems.ts';
import { documentOf } from '../documents/knownDocuments.ts';
import { importPreview, readDocument } from '../documents/readFiles.ts';
import type { Paper } from '../exports/paper.ts';
import { papers } from '../exports/papers.ts';
import { type ThreadContext, notMine, serveJobs } from './threadSide.ts';
import type { BuildText, PaperAsked } from './workMessages.ts';

const evaluators = new KnownEvaluators(programShelf());

/** Evaluates a build and says so: what takes long after that is the paper's own. */
function evaluated(id: string, document: BuildDocument, { catalogue, tell }: ThreadContext) {
  const evaluation = evaluators.of(id).evaluate(document, catalogue);
  evaluators.evaluated(id);
  tell({ type: 'evaluated' });
  return evaluation;
}

/** A file from outside as text; what is no UTF-8 is replaced, and found by whoever reads it. */
const textOf = (file: Uint8Array): string => new TextDecoder().decode(file);

/** Open findings of a build by severity. */
function stateOf(build: BuildText, context: ThreadContext): BuildStateReply {
  const { findings } = evaluated(build.id, documentOf(build), context);
  const open = findings.filter(({ accepted }) => accepted === undefined);
  const count = (severity: 'stop' | 'warn'): number =>
    open.filter((finding) => finding.severity === severity).length;
  return { revision: build.revision, stops: count('stop'), warnings: count('warn') };
}

function paperOf(
  { id, revision, ...rest }: BuildText,
  asked: PaperAsked,
  context: ThreadContext,
): Paper | Promise<Paper> {
  const document = documentOf(rest);
  const evaluation = evaluated(id, document, context);
  const { catalogue }: { catalogue: Catalogue } = context;
  const units = asked.units ?? document.displayUnits ?? 'metric';
  return papers[asked.kind]({
    build: { id, revision, document },
    catalogue,
    evaluation,
    ...asked,
    units,
  });
}

serveJobs((job, context) => {
  switch (job.kind) {
    case 'paper':
      return paperOf(job.build, job.asked, context);
    case 'state':
      return stateOf(job.build, context);
    case 'readBuild':
      return readDocument(textOf(job.file), context.catalogue);
    case 'preview':
      return importPreview(documentOf(job.build), textOf(job.file), context.catalogue);
    case 'readItems':
      return itemsOfJson(textOf(job.file));
    case 'readSheet':
      return itemsOfSheet(job.category, textOf(job.file));
    default:
      return notMine(job);
  }
});
