import { existsSync } from 'node:fs';
import { join } from 'node:path';
import Sqlite from 'better-sqlite3';
import { DATABASE_FILE } from './database.ts';

/** What every data file of this program has. */
const TABLES = ['builds', 'build_revisions', 'catalogue_items'];

/**
 * Whether the data file of a folder does not pass the check of the database, lacks a table, or holds a
 * build that is no JSON: asked when the program does not start for a reason that is not known.
 */
export function isDamaged(dataFolder: string): boolean {
  const file = join(dataFolder, DATABASE_FILE);
  if (!existsSync(file)) return false;
  try {
    const sqlite = new Sqlite(file, { readonly: true, fileMustExist: true, timeout: 500 });
    try {
      if (sqlite.pragma('integrity_check', { simple: true }) !== 'ok') return true;
      for (const table of TABLES) sqlite.prepare(`select count(*) from ${table}`).get();
      return (
        sqlite.prepare('select 1 from builds where not json_valid(document)').get() !== undefined ||
        sqlite.prepare('select 1 from catalogue_items where not json_valid(item)').get() !==
          undefined
      );
    } finally {
      sqlite.close();
    }
  } catch (error) {
    return !/SQLITE_(BUSY|LOCKED|READONLY|PERM|CANTOPEN)/.test(
      String((error as { code?: unknown }).code),
    );
  }
}
