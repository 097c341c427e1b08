/** Why a snapshot was taken: by itself, because someone asked, or before something took its place. */
export type SnapshotWhy = 'auto' | 'asked' | 'before-restore' | 'damaged';

/** A snapshot by what its name says. */
export interface SnapshotFile {
  readonly file: string;
  readonly time: Date;
  readonly why: SnapshotWhy;
  /** how much had been written by then: grows with every edit; older names say nothing of it */
  readonly written: number | undefined;
}

const NAME =
  /^brookrain-(\d{4}-\d\d-\d\d)T(\d\d)-(\d\d)-(\d\d)-(\d{3})Z-(auto|asked|before-restore|damaged)(?:-r(\d+))?\.db$/;

/** A name for a snapshot; it sorts by age, and every file system takes it. */
export const snapshotName = (time: Date, why: SnapshotWhy, written?: number): string =>
  `brookrain-${time.toISOString().replace(/[:.]/g, '-')}-${why}${
    written === undefined ? '' : `-r${String(written)}`
  }.db`;

/** What the name of a snapshot says; undefined for another file. */
export function readSnapshotName(file: string): SnapshotFile | undefined {
  const match = NAME.exec(file);
  if (!match) return undefined;
  const [, day = '', hour = '', minute = '', second = '', ms = '', why = '', written] = match;
  return {
    file,
    time: new Date(`${day}T${hour}:${minute}:${second}.${ms}Z`),
    why: why as SnapshotWhy,
    written: written === undefined ? undefined : Number(written),
  };
}

/** Newest first: by what had been written, and only then by the clock, which may have been set back. */
export const newestFirst = (a: SnapshotFile, b: SnapshotFile): number =>
  (b.written ?? -1) - (a.written ?? -1) || b.time.getTime() - a.time.getTime();

const DAY = 86_400_000;
const WEEK = 7 * DAY;

/** So many automatic snapshots stay whatever their date: a clock may have been a year ahead once. */
export const NEWEST_KEPT = 10;

/** The time within which one copy is enough; undefined: older than anything that is kept. */
function spanOf(time: number, now: number): string | undefined {
  const age = now - time;
  // Also what carries a time to come: a clock was set back.
  if (age < DAY) return `${String(time)}`;
  if (age < 31 * DAY) return `day ${String(Math.floor(time / DAY))}`;
  return age < 366 * DAY ? `week ${String(Math.floor(time / WEEK))}` : undefined;
}

/**
 * The snapshots that stay: the newest few whatever their date, all of the last 24 hours, the best of each day for a month, of each week for
 * a year; and always what was asked for, what was there before a restore, and what was damaged.
 */
export function keptSnapshots(
  files: readonly SnapshotFile[],
  now: Date,
): ReadonlySet<SnapshotFile> {
  const kept = new Set(files.filter(({ why }) => why !== 'auto'));
  const best = new Map<string, SnapshotFile>();
  const newest = [...files].sort(newestFirst);
  for (const file of newest.filter(({ why }) => why === 'auto').slice(0, NEWEST_KEPT)) {
    kept.add(file);
  }
  for (const file of newest) {
    const span = file.why === 'auto' ? spanOf(file.time.getTime(), now.getTime()) : undefined;
    if (span === undefined || best.has(span)) continue;
    best.set(span, file);
    kept.add(file);
  }
  return kept;
}
