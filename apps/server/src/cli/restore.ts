import { copyFileSync, existsSync, mkdirSync, renameSync, rmSync, statSync } from 'node:fs';
import { join } from 'node:path';
import Sqlite from 'better-sqlite3';
import { readConfig } from '../config.ts';
import { DATABASE_FILE } from '../storage/database.ts';
import { type FolderLock, lockFolder } from '../storage/folderLock.ts';
import { markReplaced } from '../storage/generation.ts';
import { storageTrouble } from '../storage/storageTrouble.ts';
import { forgetMark } from '../storage/lastWritten.ts';
import { snapshotName } from '../storage/keptSnapshots.ts';
import { SNAPSHOT_FOLDER } from '../storage/snapshots.ts';

const complain = (text: string): number => {
  process.stderr.write(`${text}\n`);
  return 2;
};

/** What the database says of a file that is none, and of one without our tables. */
const NOT_OURS = /not a database|no such table/u;

/** Why a file cannot be restored; undefined for a sound data file of this program. */
function unsound(file: string): string | undefined {
  if (!existsSync(file)) return 'there is no such file';
  if (!statSync(file).isFile()) return 'it is a folder, not a snapshot';
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
    const { message } = error as Error;
    return NOT_OURS.test(message) ? 'it is no data file of this program' : message;
  }
}

/** Brings the write-ahead log into the file; whether the file is sound then. */
function closeDown(database: string): boolean {
  try {
    const sqlite = new Sqlite(database, { timeout: 500 });
    try {
      sqlite.pragma('wal_checkpoint(TRUNCATE)');
    } finally {
      sqlite.close();
    }
  } catch {
    return false;
  }
  return unsound(database) === undefined;
}

/** Files that stand beside a data file while it is open. */
const BESIDE = ['', '-wal', '-shm'];

/** Puts what is there aside as it is: a sound file as a snapshot, a damaged one with all that is beside it. */
function putAside(database: string, snapshots: string): void {
  const sound = closeDown(database);
  const kept = join(snapshots, snapshotName(new Date(), sound ? 'before-restore' : 'damaged'));
  for (const end of sound ? [''] : BESIDE) {
    if (existsSync(`${database}${end}`)) copyFileSync(`${database}${end}`, `${kept}${end}`);
  }
  process.stdout.write(
    sound
      ? `The data as they were are in ${kept}\n`
      : `The data file is damaged; it was moved unchanged to ${kept}\n`,
  );
}

function replaceData(file: string, dataFolder: string): void {
  const database = join(dataFolder, DATABASE_FILE);
  const snapshots = join(dataFolder, SNAPSHOT_FOLDER);
  if (existsSync(database) && !statSync(database).isFile()) {
    throw new Error(`${database} is not a file: move it away, then restore again`);
  }
  mkdirSync(snapshots, { recursive: true });
  const unfinished = `${database}.part`;
  copyFileSync(file, unfinished);
  if (existsSync(database)) putAside(database, snapshots);
  // Edits that started from the revisions of before are not taken for edits of these.
  markReplaced(dataFolder);
  for (const rest of ['-wal', '-shm']) rmSync(`${database}${rest}`, { force: true });
  renameSync(unfinished, database);
  forgetMark(dataFolder);
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
  let lock: FolderLock;
  try {
    lock = lockFolder(dataFolder);
  } catch (error) {
    return complain(error instanceof Error ? error.message : String(error));
  }
  try {
    replaceData(file, dataFolder);
    process.stdout.write(`Restored ${file}\n`);
    return 0;
  } catch (error) {
    const { message } = error as Error;
    return complain(`${file} was not restored: ${storageTrouble(error)?.message ?? message}`);
  } finally {
    lock.release();
  }
}
