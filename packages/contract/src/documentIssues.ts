import {
  type BuildDocument,
  type Catalogue,
  CURRENT_VERSION,
  documentSpec,
  pathText,
  referenceProblems,
  isRecord,
} from '@brookrain/core';
import { specIssues } from './fields/specIssues.ts';
import type { Issue } from './issue.ts';

/** Everything in a sound document that points at nothing or does not hold together. */
export const referenceIssues = (document: BuildDocument, catalogue: Catalogue): Issue[] =>
  referenceProblems(document, catalogue).map(({ path, message }) => ({
    path: pathText(path),
    message,
  }));

/** Everything wrong with a document; empty when it may be kept. */
export function documentIssues(value: unknown, catalogue: Catalogue): Issue[] {
  if (!isRecord(value)) return [{ path: '', message: 'this is not a build' }];
  if (value['format'] !== 'brookrain-build') {
    return [{ path: 'format', message: 'this is not a Brookrain build file' }];
  }
  if (value['version'] !== CURRENT_VERSION) {
    return [
      {
        path: 'version',
        message: `version ${String(value['version']).slice(0, 20)} is not known here; this program reads versions 1 to ${CURRENT_VERSION}`,
      },
    ];
  }
  const issues = specIssues(documentSpec, value);
  return issues.length > 0 ? issues : referenceIssues(value as unknown as BuildDocument, catalogue);
}
