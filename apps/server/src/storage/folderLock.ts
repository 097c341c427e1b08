import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import Sqlite from 'better-sqlite3';

const LOCK_FILE = 'brookrain.lock';
const HOLDER_FILE = 'brookrain.lock.json';

/** A data folder that is held: nobody else serves or restores it until it is let go. */
export interface FolderLock {
  readonly release: () => void;
}

/** A data folder that another process holds, and which one as far as it said. */
export class FolderHeld extends Error {
  constructor(dataFolder: string) {
    super(
      `the program is already running on ${dataFolder}${holderOf(dataFolder)}: stop it first, or set another folder with BROOKRAIN_DATA`,
    );
    this.name = 'FolderHeld';
  }
}

function holderOf(dataFolder: string): string {
  try {
    const { process: id, since } = JSON.parse(
      readFileSync(join(dataFolder, HOLDER_FILE), 'utf8'),
    ) as { process: number; since: string };
    return `, as process ${String(id)} since ${since}`;
  } catch {
    return '';
  }
}

/**
 * Takes a data folder for this process. The lock is the file system's: it goes with the process,
 * however that ends. Throws FolderHeld where another has it.
 */
export function lockFolder(dataFolder: string): FolderLock {
  mkdirSync(dataFolder, { recursive: true });
  const lock = new Sqlite(join(dataFolder, LOCK_FILE), { timeout: 0 });
  try {
    lock.exec('begin exclusive');
  } catch (error) {
    lock.close();
    const { code } = error as { code?: string };
    if (code?.startsWith('SQLITE_BUSY')) throw new FolderHeld(dataFolder);
    throw error;
  }
  const holder = { process: process.pid, since: new Date().toISOString() };
  writeFileSync(join(dataFolder, HOLDER_FILE), JSON.stringify(holder));
  return {
    release: () => {
      if (lock.inTransaction) lock.exec('rollback');
      lock.close();
    },
  };
}
