// The thread of edits: applies them, checks them and writes documents out, one after the other.
import 'reflect-metadata';
import { referencesOf, toBuildFile } from '@brookrain/core';
import type { BuildDocument } from '@brookrain/core';
import { conflictReply } from '../documents/conflict.ts';
import { documentAt } from '../documents/documentAt.ts';
import { documentText } from '../documents/documentText.ts';
import { makeEdit, makeReplacement, makeStep } from '../documents/edits.ts';
import { documentOf } from '../documents/knownDocuments.ts';
import { notMine, serveJobs } from './threadSide.ts';

const named = (document: BuildDocument, name: string | undefined): BuildDocument =>
  name === undefined ? document : { ...document, name };

serveJobs((job, { catalogue }) => {
  switch (job.kind) {
    case 'edit':
      return makeEdit(job.build, job.body, job.generation, catalogue);
    case 'step':
      return makeStep(job.build, job.step, catalogue);
    case 'replace':
      return makeReplacement(job.build, job.by, job.words, catalogue);
    case 'conflict':
      return conflictReply(job.asked);
    case 'documentAt':
      return documentText(named(documentAt(job.source), job.name));
    case 'buildFile':
      return JSON.stringify(toBuildFile(documentOf(job.build), catalogue));
    case 'references':
      return referencesOf(JSON.parse(job.text) as BuildDocument);
    default:
      return notMine(job);
  }
});
