import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import Sqlite from 'better-sqlite3';
import { type BetterSQLite3Database, drizzle } from 'drizzle-orm/better-sqlite3';
import { migrate } from 'drizzle-orm/better-sqlite3/migrator';
import * as schema from './schema.ts';

export type Database = BetterSQLite3Database<typeof schema>;

export interface OpenDatabase {
  readonly database: Database;
  /** the driver's own handle, for snapshots */
  readonly sqlite: Sqlite.Database;
  readonly close: () => void;
}

/** Name of the one file that holds everything. */
export const DATABASE_FILE = 'brookrain.db';

const migrationsFolder = fileURLToPath(new URL('../../migrations', import.meta.url));

/**
 * Opens the data folder's SQLite file and brings it up to date. Write-ahead log with full
 * synchronisation: an acknowledged edit survives the loss of the process.
 */
export function openDatabase(dataFolder: string): OpenDatabase {
  mkdirSync(dataFolder, { recursive: true });
  const sqlite = new Sqlite(join(dataFolder, DATABASE_FILE));
  sqlite.pragma('journal_mode = WAL');
  sqlite.pragma('synchronous = FULL');
  sqlite.pragma('foreign_keys = ON');
  // Another program that holds the file is waited for shortly; then the request is refused.
  sqlite.pragma('busy_timeout = 2000');
  const database = drizzle(sqlite, { schema });
  migrate(database, { migrationsFolder });
  return { database, sqlite, close: () => sqlite.close() };
}
