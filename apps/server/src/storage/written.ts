import type Sqlite from 'better-sqlite3';

/** How much was written so far, of everything that is only ever added to. */
export interface Written {
  /** revisions of builds */
  readonly edits: number;
  /** entries of the record */
  readonly entries: number;
  /** revisions of catalogue items */
  readonly items: number;
}

/** Kinds of what is written, in the order in which they stand in the mark of the last state. */
export const writtenKinds = ['edits', 'entries', 'items'] as const;

/** Counts what the data hold. */
export function countWritten(sqlite: Sqlite.Database): Written {
  const count = (table: string): number =>
    sqlite.prepare(`select count(*) from ${table}`).pluck().get() as number;
  return {
    edits: count('build_revisions'),
    entries: count('record_entries'),
    items: count('catalogue_items'),
  };
}

export const writtenInAll = ({ edits, entries, items }: Written): number => edits + entries + items;
