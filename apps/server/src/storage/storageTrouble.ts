/** Why the data folder could not be read or written, as a person can act on it. */
export interface StorageTrouble {
  readonly code: string;
  readonly status: number;
  readonly message: string;
}

const kept = 'Nothing was changed; your edit waits on this device and is sent again.';

/** What a failure of SQLite or the disk means; undefined for other errors. */
export function storageTrouble(error: unknown): StorageTrouble | undefined {
  const code = (error as { code?: unknown; cause?: { code?: unknown } } | null)?.code;
  const cause = (error as { cause?: { code?: unknown } } | null)?.cause?.code;
  const known = [code, cause].find(
    (c): c is string => typeof c === 'string' && /^(SQLITE_|ENOSPC|EROFS|EACCES|EIO)/.test(c),
  );
  if (known === undefined || known.startsWith('SQLITE_CONSTRAINT')) return undefined;
  const trouble = (status: number, message: string) => ({ code: known, status, message });
  if (/^SQLITE_(BUSY|LOCKED)/.test(known)) {
    return trouble(503, `Another program holds the data file. ${kept}`);
  }
  if (/^(SQLITE_FULL|ENOSPC)/.test(known)) {
    return trouble(507, `The disk is full: make room in the data folder. ${kept}`);
  }
  if (/^(SQLITE_READONLY|SQLITE_PERM|EROFS|EACCES)/.test(known)) {
    return trouble(503, `The data folder cannot be written: check its rights. ${kept}`);
  }
  if (/^(SQLITE_CORRUPT|SQLITE_NOTADB)/.test(known)) {
    return trouble(
      503,
      'The data file is damaged. Stop the program and restore the newest snapshot (see the guide).',
    );
  }
  return trouble(503, `The data folder does not answer (${known}). ${kept}`);
}
