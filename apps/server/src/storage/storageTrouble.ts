/** Why the data folder could not be read or written, as a person can act on it. */
export interface StorageTrouble {
  readonly code: string;
  readonly status: number;
  readonly message: string;
}

/** What is to be done about a data file that cannot be read. */
export const DAMAGED =
  'The data file is damaged. Stop the program and put the newest snapshot back: npm run restore -- data/snapshots/FILE.db (see docs/safety-of-data.md)';

const kept = 'Nothing was changed; your edit waits on this device and is sent again.';

/** Codes of an error and of what caused it, outermost first. */
function codesOf(error: unknown): string[] {
  const codes: string[] = [];
  let at = error;
  while (typeof at === 'object' && at !== null && codes.length < 10) {
    const { code, cause } = at as { readonly code?: unknown; readonly cause?: unknown };
    if (typeof code === 'string') codes.push(code);
    at = cause;
  }
  return codes;
}

/** What a failure of SQLite or the disk means; undefined for other errors. */
export function storageTrouble(error: unknown): StorageTrouble | undefined {
  const known = codesOf(error).find((code) => /^(SQLITE_|ENOSPC|EROFS|EACCES|EIO)/.test(code));
  if (known === undefined || known.startsWith('SQLITE_CONSTRAINT')) return undefined;
  const trouble = (status: number, message: string) => ({ code: known, status, message });
  if (/^SQLITE_(BUSY|LOCKED)/.test(known)) {
    return trouble(503, `Another program holds the data file. ${kept}`);
  }
  if (/^(SQLITE_FULL|ENOSPC)/.test(known)) {
    return trouble(507, `The disk is full: make room in the data folder. ${kept}`);
  }
  if (/^(SQLITE_READONLY|SQLITE_PERM|EROFS|EACCES)/.test(known)) {
    return trouble(503, `The data folder cannot be written to: check its permissions. ${kept}`);
  }
  if (/^(SQLITE_CORRUPT|SQLITE_NOTADB)/.test(known)) {
    return trouble(503, DAMAGED);
  }
  return trouble(503, `The data folder does not answer (${known}). ${kept}`);
}
