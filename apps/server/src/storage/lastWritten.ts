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
import { type LostEdits, missingInWords } from '@brookrain/contract';
import { type Written, writtenInAll, writtenKinds } from './written.ts';

/** How much had been acknowledged at last, beside the data, in a file of its own. */
const MARK_FILE = 'brookrain.last';
/** What is missing, until somebody has read it. */
const LOST_FILE = 'brookrain.lost.json';
/** The mark is written over in its place: it is never longer or shorter. */
const MARK_LENGTH = 64;

/** A mark as it was left: how much was written, and when the last of it was. */
interface Mark {
  readonly written: Written;
  readonly time: string;
}

function readMark(folder: string): Mark | undefined {
  try {
    const words = readFileSync(join(folder, MARK_FILE), 'utf8').trim().split(' ');
    const time = words.pop() ?? '';
    // Older marks count revisions of builds alone.
    const [edits = 0, entries = 0, items = 0] = words.map(Number);
    const isSound = [edits, entries, items].every((count) => Number.isInteger(count) && count >= 0);
    return isSound ? { written: { edits, entries, items }, time } : undefined;
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
      // Where it has no room, what is wrong with the disk is told when the data are opened.
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

/** What of a mark the data do not hold; undefined where they hold it all. */
function missingOf(mark: Mark | undefined, now: Written): Written | undefined {
  if (!mark) return undefined;
  const missing = (kind: keyof Written): number => Math.max(0, mark.written[kind] - now[kind]);
  const found = { edits: missing('edits'), entries: missing('entries'), items: missing('items') };
  return writtenInAll(found) > 0 ? found : undefined;
}

/**
 * Remembers beside the data how much was acknowledged, so that data that open at an earlier state, as
 * after damage to the write-ahead log, are not taken for all there was.
 */
export class LastWritten {
  private readonly file: number;
  /** whether the data opened with less than was acknowledged */
  readonly isIncomplete: boolean;

  /** `written`: how much the data hold as they were opened */
  constructor(
    private readonly folder: string,
    private written: Written,
    found: FoundLog,
  ) {
    const mark = readMark(folder);
    const missing = missingOf(mark, written);
    this.isIncomplete = missing !== undefined;
    if (mark && missing) {
      const lost: LostEdits = { ...missing, until: mark.time, kept: found.keep(folder) };
      writeFileSync(join(folder, LOST_FILE), JSON.stringify(lost));
    } else found.forget();
    this.file = openSync(join(folder, MARK_FILE), 'w');
    this.write();
  }

  /** So much more was acknowledged. */
  add(more: Partial<Written>): void {
    const { edits, entries, items } = this.written;
    this.written = {
      edits: edits + (more.edits ?? 0),
      entries: entries + (more.entries ?? 0),
      items: items + (more.items ?? 0),
    };
    try {
      this.write();
    } catch {
      // What was written is on the disk: it does not fail for want of its mark.
    }
  }

  private write(): void {
    const counts = writtenKinds.map((kind) => this.written[kind]);
    const text = [...counts, new Date().toISOString()].join(' ');
    writeSync(this.file, text.padEnd(MARK_LENGTH - 1) + '\n', 0);
  }

  /** What is missing from the data; null when nothing is, or somebody has read of it. */
  lost(): LostEdits | null {
    try {
      const lost = JSON.parse(readFileSync(join(this.folder, LOST_FILE), 'utf8')) as LostEdits;
      return { ...lost, entries: lost.entries ?? 0, items: lost.items ?? 0 };
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

/** What is missing, as on the page and on start: "2 edits and 30 entries of the record are missing". */
export const lostInWords = (lost: LostEdits): string =>
  `${missingInWords(lost)} since ${lost.until}: the log of the data was damaged. The data as found are in ${lost.kept}`;
