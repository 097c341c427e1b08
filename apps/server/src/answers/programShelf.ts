import { statSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { isBundled, programFolder } from '../serverFolder.ts';
import { AnswerShelf } from './answerShelf.ts';

/** The shelf of this program; none while it is worked on, when what it gives changes by the minute. */
export function programShelf(): AnswerShelf | undefined {
  if (!isBundled) return undefined;
  const { size, mtimeMs } = statSync(fileURLToPath(import.meta.url));
  return new AnswerShelf(join(programFolder, '.cache/answers'), `${size} ${mtimeMs}`);
}
