import { existsSync, mkdirSync, readFileSync, readdirSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { CURRENT_VERSION } from '@brookrain/core';
import Sqlite from 'better-sqlite3';
import { type BetterSQLite3Database, drizzle } from 'drizzle-orm/better-sqlite3';
import { migrate } from 'drizzle-orm/better-sqlite3/migrator';
import { serverFolder } from '../serverFolder.ts';
import { type Generation, openGeneration } from './generation.ts';
import { FoundLog, LastWritten } from './lastWritten.ts';
import * as schema from './schema.ts';
import { countWritten } from './written.ts';

export type Database = BetterSQLite3Database<typeof schema>;

export interface OpenDatabase {
  readonly database: Database;
  /** the driver's own handle, for snapshots */
  readonly sqlite: Sqlite.Database;
  /** how much was acknowledged, and what of it is missing */
  readonly last: LastWritten;
  readonly generation: Generation;
  readonly close: () => void;
}

/** Name of the one file that holds everything. */
export const DATABASE_FILE = 'brookrain.db';

const migrationsFolder = join(serverFolder, 'migrations');

/** A data folder with snapshots whose data file is gone or empty: it is not begun anew unasked. */
export class LostData extends Error {
  constructor(file: string) {
    super(
      `${file} is gone or empty, but there are snapshots of it: restore one with "npm run restore -- SNAPSHOT.db", or move the folder snapshots elsewhere to start empty`,
    );
    this.name = 'LostData';
  }
}

function refuseLost(dataFolder: string): void {
  const file = join(dataFolder, DATABASE_FILE);
  if (existsSync(file) && statSync(file).size > 0) return;
  const snapshots = join(dataFolder, 'snapshots');
  if (existsSync(snapshots) && readdirSync(snapshots).some((name) => name.endsWith('.db'))) {
    throw new LostData(file);
  }
}

/** A data file that a newer program has written: this one would read it wrong. */
export class NewerData extends Error {
  constructor(file: string) {
    super(
      `${file} was written by a newer Brookrain. Nothing was changed: start that one, or restore a snapshot that this one wrote`,
    );
    this.name = 'NewerData';
  }
}

interface Journal {
  readonly entries: readonly { readonly when: number }[];
}

/** Throws NewerData where the file has been brought further than this program can. */
function refuseNewer(sqlite: Sqlite.Database, file: string): void {
  const table = sqlite
    .prepare("select 1 from sqlite_master where name = '__drizzle_migrations'")
    .get();
  if (!table) return;
  const { entries } = JSON.parse(
    readFileSync(join(migrationsFolder, 'meta/_journal.json'), 'utf8'),
  ) as Journal;
  const newest = Math.max(...entries.map(({ when }) => when));
  const row = sqlite.prepare('select max(created_at) as at from __drizzle_migrations').get() as {
    at: number | null;
  };
  // Data of an older program do not say yet in which format each revision was made.
  const tellsFormat = sqlite
    .prepare("select 1 from pragma_table_info('build_revisions') where name = 'format_version'")
    .get();
  const format = tellsFormat
    ? (sqlite.prepare('select max(format_version) as at from build_revisions').get() as {
        at: number | null;
      })
    : undefined;
  if (Number(row.at ?? 0) > newest || (format?.at ?? 0) > CURRENT_VERSION)
    throw new NewerData(file);
}

/**
 * Opens the data folder's SQLite file and brings it up to date. Write-ahead log with full
 * synchronisation: an acknowledged edit survives the loss of the process.
 */
export function openDatabase(dataFolder: string): OpenDatabase {
  mkdirSync(dataFolder, { recursive: true });
  refuseLost(dataFolder);
  const file = join(dataFolder, DATABASE_FILE);
  const found = new FoundLog(file);
  const sqlite = new Sqlite(file);
  sqlite.pragma('journal_mode = WAL');
  sqlite.pragma('synchronous = FULL');
  sqlite.pragma('foreign_keys = ON');
  // Another program that holds the file is waited for shortly; then the request is refused.
  sqlite.pragma('busy_timeout = 2000');
  try {
    refuseNewer(sqlite, file);
  } catch (error) {
    found.forget();
    sqlite.close();
    throw error;
  }
  const database = drizzle(sqlite, { schema });
  migrate(database, { migrationsFolder });
  const last = new LastWritten(dataFolder, countWritten(sqlite), found);
  const generation = openGeneration(sqlite, dataFolder, last.isIncomplete);
  return {
    database,
    sqlite,
    last,
    generation,
    close: () => {
      last.close();
      sqlite.close();
    },
  };
}
