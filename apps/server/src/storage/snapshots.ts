import { mkdirSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs';
import { join } from 'node:path';
import type { SnapshotReply } from '@brookrain/contract';
import { Logger } from '@nestjs/common';
import Sqlite from 'better-sqlite3';
import {
  type SnapshotFile,
  keptSnapshots,
  newestFirst,
  readSnapshotName,
  snapshotName,
} from './keptSnapshots.ts';

import { countWritten, writtenInAll } from './written.ts';

export const SNAPSHOT_FOLDER = 'snapshots';
const UNFINISHED = /\.part(-wal|-shm)?$/u;
const HOUR_MS = 3_600_000;

/** Throws for a copy that does not pass its check: it never takes the name of a snapshot. */
function checkCopy(file: string): void {
  const copy = new Sqlite(file, { readonly: true });
  try {
    const answer = copy.pragma('quick_check', { simple: true });
    if (answer !== 'ok') throw new Error(`the copy is damaged: ${String(answer).slice(0, 120)}`);
  } finally {
    copy.close();
  }
}

/**
 * Copies of the whole data file, made while the server runs: on start and every hour when
 * something changed, and on demand. Which of them stay, their age says.
 */
export class Snapshots {
  readonly folder: string;
  private readonly logger = new Logger('Snapshots');
  private timer: NodeJS.Timeout | undefined;
  private atChange = -1;
  private running: Promise<unknown> = Promise.resolve();

  constructor(
    private readonly sqlite: Sqlite.Database,
    dataFolder: string,
  ) {
    this.folder = join(dataFolder, SNAPSHOT_FOLDER);
  }

  /** Starts taking snapshots by itself. A failure is logged and tried again in an hour. */
  start(): void {
    const automatic = (): void => {
      if (this.changes() === this.atChange || this.isKept()) return;
      this.take('auto').catch((error: unknown) => this.logger.warn(String(error)));
    };
    this.timer = setInterval(automatic, HOUR_MS);
    this.timer.unref();
    automatic();
  }

  async stop(): Promise<void> {
    clearInterval(this.timer);
    await this.running.catch(() => undefined);
  }

  /** Takes one; a half-written file never carries the name of a snapshot. */
  take(why: 'auto' | 'asked'): Promise<SnapshotReply> {
    const work = this.running
      .catch(() => undefined)
      .then(async () => {
        mkdirSync(this.folder, { recursive: true });
        const at = this.changes();
        const file = snapshotName(new Date(), why, this.written());
        const unfinished = join(this.folder, `${file}.part`);
        try {
          await this.sqlite.backup(unfinished);
          checkCopy(unfinished);
          renameSync(unfinished, join(this.folder, file));
        } finally {
          for (const end of ['', '-wal', '-shm']) rmSync(`${unfinished}${end}`, { force: true });
        }
        this.atChange = at;
        this.forgetOld();
        return this.describe(file);
      });
    this.running = work;
    return work;
  }

  /** Snapshots there are that can be put back, newest first. */
  list(): SnapshotReply[] {
    return this.files()
      .filter(({ why }) => why !== 'damaged')
      .map(({ file }) => this.describe(file));
  }

  private describe(file: string): SnapshotReply {
    const { size, mtime } = statSync(join(this.folder, file));
    return { file, time: mtime.toISOString(), bytes: size };
  }

  private files(): SnapshotFile[] {
    try {
      return readdirSync(this.folder)
        .flatMap((file) => readSnapshotName(file) ?? [])
        .sort(newestFirst);
    } catch {
      return [];
    }
  }

  private forgetOld(): void {
    const files = this.files();
    const kept = keptSnapshots(files, new Date());
    for (const file of files) {
      if (!kept.has(file)) rmSync(join(this.folder, file.file), { force: true });
    }
    // What was left by one that was broken off: one is taken at a time.
    for (const name of readdirSync(this.folder)) {
      if (UNFINISHED.test(name)) rmSync(join(this.folder, name), { force: true });
    }
  }

  /** Whether a copy of the data as they stand is there already, as after a start without an edit. */
  private isKept(): boolean {
    const written = this.written();
    return this.files().some((file) => file.why !== 'damaged' && file.written === written);
  }

  private written(): number {
    return writtenInAll(countWritten(this.sqlite));
  }

  private changes(): number {
    return this.sqlite.prepare('select total_changes()').pluck().get() as number;
  }
}
