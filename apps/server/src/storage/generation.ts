import { randomUUID } from 'node:crypto';
import { existsSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type Sqlite from 'better-sqlite3';

/** Stands beside data that were put in the place of others, until they are opened. */
const REPLACED_FILE = 'brookrain.replaced';

/**
 * Names the line of revisions that the data hold. After a restore, and after a loss, the same revision
 * numbers are used again for other words: an edit that started from the line before must not be taken
 * for one of this line.
 */
export interface Generation {
  readonly id: string;
  /** whether there was a line of revisions before this one in the same data folder */
  readonly isRenewed: boolean;
}

/** Says that other data take the place of those in a folder; told before they do. */
export const markReplaced = (dataFolder: string): void =>
  writeFileSync(join(dataFolder, REPLACED_FILE), new Date().toISOString());

/** The generation of open data: a new one where they were replaced or where some of them are missing. */
export function openGeneration(
  sqlite: Sqlite.Database,
  dataFolder: string,
  isIncomplete: boolean,
): Generation {
  const read = (name: string): string | undefined =>
    sqlite.prepare('select value from settings where name = ?').pluck().get(name) as
      string | undefined;
  const keep = sqlite.prepare('insert or replace into settings (name, value) values (?, ?)');
  const mark = join(dataFolder, REPLACED_FILE);
  const isReplaced = isIncomplete || existsSync(mark);
  let id = read('generation');
  sqlite.transaction(() => {
    if (isReplaced) keep.run('generation-renewed', 'yes');
    if (id === undefined || isReplaced) keep.run('generation', (id = randomUUID()));
  })();
  rmSync(mark, { force: true });
  return { id: id!, isRenewed: read('generation-renewed') === 'yes' };
}
