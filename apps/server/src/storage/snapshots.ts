import { mkdirSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs';
import { join } from 'node:path';
import type { SnapshotReply } from '@brookrain/contract';
import { Logger } from '@nestjs/common';
import type Sqlite from 'better-sqlite3';

export const SNAPSHOT_FOLDER = 'snapshots';
const HOUR_MS = 3_600_000;
const KEPT = 30;

/** Time in a file name that sorts by age and that every file system takes. */
export const snapshotName = (time: Date, why: string): string =>
  `brookrain-${time.toISOString().replace(/[:.]/g, '-')}-${why}.db`;

/**
 * Copies of the whole data file, made while the server runs: on start and every hour when
 * something changed, and on demand. The newest 30 are kept.
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
      if (this.changes() === this.atChange) return;
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
        const file = snapshotName(new Date(), why);
        const unfinished = join(this.folder, `${file}.part`);
        try {
          await this.sqlite.backup(unfinished);
          renameSync(unfinished, join(this.folder, file));
        } finally {
          rmSync(unfinished, { force: true });
        }
        this.atChange = at;
        this.forgetOld();
        return this.describe(file);
      });
    this.running = work;
    return work;
  }

  /** Snapshots there are, newest first. */
  list(): SnapshotReply[] {
    return this.files().map((file) => this.describe(file));
  }

  private describe(file: string): SnapshotReply {
    const { size, mtime } = statSync(join(this.folder, file));
    return { file, time: mtime.toISOString(), bytes: size };
  }

  private files(): string[] {
    try {
      return readdirSync(this.folder)
        .filter((name) => /^brookrain-.*\.db$/.test(name))
        .sort()
        .reverse();
    } catch {
      return [];
    }
  }

  private forgetOld(): void {
    for (const file of this.files().slice(KEPT)) rmSync(join(this.folder, file), { force: true });
  }

  private changes(): number {
    return this.sqlite.prepare('select total_changes()').pluck().get() as number;
  }
}
