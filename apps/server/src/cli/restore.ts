import { copyFileSync, existsSync, mkdirSync, renameSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import Sqlite from 'better-sqlite3';
import { readConfig } from '../config.ts';
import { DATABASE_FILE } from '../storage/database.ts';
import { SNAPSHOT_FOLDER, snapshotName } from '../storage/snapshots.ts';

const complain = (text: string): number => {
  process.stderr.write(`${text}\n`);
  return 2;
};

/** Why a file cannot be restored; undefined for a sound data file of this program. */
function unsound(file: string): string | undefined {
  if (!existsSync(file)) return 'there is no such file';
  try {
    const sqlite = new Sqlite(file, { readonly: true, fileMustExist: true });
    try {
      const answer = sqlite.pragma('integrity_check', { simple: true });
      if (answer !== 'ok') return `the file is damaged: ${String(answer).slice(0, 120)}`;
      sqlite.prepare('select count(*) from builds').get();
      return undefined;
    } finally {
      sqlite.close();
    }
  } catch (error) {
    return (error as Error).message;
  }
}

/** Brings the write-ahead log into the file and proves that no server has it open. */
function closeDown(database: string): string | undefined {
  const sqlite = new Sqlite(database, { timeout: 500 });
  try {
    sqlite.pragma('locking_mode = EXCLUSIVE');
    sqlite.exec('begin exclusive; rollback');
    sqlite.pragma('wal_checkpoint(TRUNCATE)');
    return undefined;
  } catch {
    return 'the program is running on this data folder: stop it first';
  } finally {
    sqlite.close();
  }
}

/**
 * Puts a snapshot in the place of the data file; what was there becomes a snapshot itself.
 * Exit 0; 2 when refused, with the reason, and nothing is changed.
 */
export function runRestore(file: string | undefined, env: NodeJS.ProcessEnv): number {
  if (!file) return complain('usage: npm run -s restore -- SNAPSHOT.db');
  const wrong = unsound(file);
  if (wrong) return complain(`${file}: ${wrong}`);
  const { dataFolder } = readConfig(env);
  const database = join(dataFolder, DATABASE_FILE);
  mkdirSync(join(dataFolder, SNAPSHOT_FOLDER), { recursive: true });
  if (existsSync(database)) {
    const busy = closeDown(database);
    if (busy) return complain(`${database}: ${busy}`);
    const before = join(dataFolder, SNAPSHOT_FOLDER, snapshotName(new Date(), 'before-restore'));
    copyFileSync(database, before);
    process.stdout.write(`The data as they were are kept in ${before}\n`);
  }
  const unfinished = `${database}.part`;
  copyFileSync(file, unfinished);
  for (const rest of ['-wal', '-shm']) rmSync(`${database}${rest}`, { force: true });
  renameSync(unfinished, database);
  process.stdout.write(`Restored ${file}\n`);
  return 0;
}
