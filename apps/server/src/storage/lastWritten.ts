import {
  closeSync,
  copyFileSync,
  existsSync,
  mkdirSync,
  openSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
  writeFileSync,
  writeSync,
} from 'node:fs';
import { join } from 'node:path';
import type { LostEdits } from '@brookrain/contract';

/** How many revisions had been acknowledged at last, beside the data, in a file of its own. */
const MARK_FILE = 'brookrain.last';
/** What is told until somebody has read it. */
const LOST_FILE = 'brookrain.lost.json';
/** The mark is written over in its place: it is never longer or shorter. */
const MARK_LENGTH = 64;

/** A mark as it was left: how many revisions, and when the last of them was made. */
interface Mark {
  readonly revisions: number;
  readonly time: string;
}

function readMark(folder: string): Mark | undefined {
  try {
    const [revisions, time = ''] = readFileSync(join(folder, MARK_FILE), 'utf8').trim().split(' ');
    const count = Number(revisions);
    return Number.isInteger(count) && count > 0 ? { revisions: count, time } : undefined;
  } catch {
    return undefined;
  }
}

/** Puts the mark away: what it tells of is not in the data any more because somebody wanted it so. */
export const forgetMark = (folder: string): void => {
  for (const file of [MARK_FILE, LOST_FILE]) rmSync(join(folder, file), { force: true });
};

/** A copy of the write-ahead log as it was found, before the data are opened and it is read. */
export class FoundLog {
  private readonly copy: string;

  constructor(private readonly database: string) {
    this.copy = `${database}-wal.found`;
    const log = `${database}-wal`;
    try {
      if (existsSync(log) && statSync(log).size > 0) copyFileSync(log, this.copy);
    } catch {
      // Where there is no room for it, what is wrong with the disk is told when the data are opened.
    }
  }

  /** Keeps it with the data as they opened, in a folder of its own; gives the folder. */
  keep(folder: string): string {
    const kept = join(folder, `damaged-${new Date().toISOString().replace(/[:.]/g, '-')}`);
    mkdirSync(kept, { recursive: true });
    copyFileSync(this.database, join(kept, 'brookrain.db'));
    if (existsSync(this.copy)) renameSync(this.copy, join(kept, 'brookrain.db-wal'));
    return kept;
  }

  forget(): void {
    rmSync(this.copy, { force: true });
  }
}

/**
 * Remembers beside the data how many revisions were acknowledged, so that data that open at an earlier
 * state, as after damage to the write-ahead log, are not taken for all there was.
 */
export class LastWritten {
  private readonly file: number;

  /** `revisions`: how many the data hold as they were opened */
  constructor(
    private readonly folder: string,
    private revisions: number,
    found: FoundLog,
  ) {
    const mark = readMark(folder);
    if (mark && mark.revisions > revisions) {
      const lost: LostEdits = {
        edits: mark.revisions - revisions,
        until: mark.time,
        kept: found.keep(folder),
      };
      writeFileSync(join(folder, LOST_FILE), JSON.stringify(lost));
    } else found.forget();
    this.file = openSync(join(folder, MARK_FILE), 'w');
    this.write();
  }

  /** One more was acknowledged. */
  add(): void {
    this.revisions += 1;
    try {
      this.write();
    } catch {
      // The edit itself is on the disk: it does not fail for want of its mark.
    }
  }

  private write(): void {
    const text = `${this.revisions} ${new Date().toISOString()}`;
    writeSync(this.file, text.padEnd(MARK_LENGTH - 1) + '\n', 0);
  }

  /** Edits that are missing from the data; null when none are, or somebody has read of it. */
  lost(): LostEdits | null {
    try {
      return JSON.parse(readFileSync(join(this.folder, LOST_FILE), 'utf8')) as LostEdits;
    } catch {
      return null;
    }
  }

  /** Somebody has read what is missing. */
  understood(): void {
    rmSync(join(this.folder, LOST_FILE), { force: true });
  }

  close(): void {
    closeSync(this.file);
  }
}

/** What is told of edits that are missing. */
export const lostInWords = ({ edits, until, kept }: LostEdits): string =>
  `${edits} ${edits === 1 ? 'edit is' : 'edits are'} missing that had been made by ${until}: the log of the data was damaged. The data as they were found are kept in ${kept}`;
