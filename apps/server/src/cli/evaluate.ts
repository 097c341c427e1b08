import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import {
  createEvaluator,
  figuresOf,
  limitLadder,
  placeText,
  sampleCatalogue,
} from '@brookrain/core';
import { readBuildFile } from '@brookrain/contract';
import { programShelf } from '../answers/programShelf.ts';

/**
 * Prints the evaluation of a build file as JSON. Exit 0; 1 when there is a finding of severity
 * stop; 2 for a file that cannot be read, with the reason on standard error.
 */
export function runEvaluate(path: string | undefined): number {
  if (!path) {
    process.stderr.write('usage: npm run -s evaluate -- FILE.json\n');
    return 2;
  }
  let text: string;
  try {
    text = readFileSync(path, 'utf8');
  } catch (cause) {
    process.stderr.write(`${path}: ${(cause as Error).message}\n`);
    return 2;
  }
  const read = readBuildFile(text, sampleCatalogue);
  if (!read.ok) {
    for (const issue of read.issues) {
      process.stderr.write(
        `${path}: ${issue.path === '' ? '' : `${issue.path}: `}${issue.message}\n`,
      );
    }
    return 2;
  }
  const known = new Set(read.items.map((item) => `${item.id}@${item.revision}`));
  const catalogue = {
    items: [
      ...read.items,
      ...sampleCatalogue.items.filter((item) => !known.has(`${item.id}@${item.revision}`)),
    ],
  };
  const shelf = programShelf();
  const key = `file ${resolve(path)}`;
  const evaluator = createEvaluator(shelf?.take(key));
  const evaluation = evaluator.evaluate(read.document, catalogue);
  if (evaluator.learned) shelf?.put(key, evaluator.keep());
  const ladder = limitLadder(evaluator.check(read.document, catalogue));
  const findings = evaluation.findings.map((finding) => ({
    ...finding,
    where: placeText(finding.where),
    cures: finding.cures(),
  }));
  const figures = figuresOf(evaluation, ladder);
  const output = { figures, ladder, evaluation: { ...evaluation, findings } };
  process.stdout.write(`${JSON.stringify(output, null, 2)}\n`);
  return evaluation.findings.some((finding) => finding.severity === 'stop') ? 1 : 0;
}
