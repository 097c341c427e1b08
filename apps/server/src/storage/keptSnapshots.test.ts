import { describe, expect, test } from 'vitest';
import {
  NEWEST_KEPT,
  type SnapshotFile,
  type SnapshotWhy,
  keptSnapshots,
  newestFirst,
  readSnapshotName,
  snapshotName,
} from './keptSnapshots.ts';

const NOW = new Date('2026-06-15T12:00:00Z');
const HOUR = 3_600_000;
const DAY = 24 * HOUR;
const taken = (ago: number, why: SnapshotWhy = 'auto', written?: number): SnapshotFile => {
  const time = new Date(NOW.getTime() - ago);
  return { file: snapshotName(time, why, written), time, why, written };
};
const kept = (files: readonly SnapshotFile[]): SnapshotFile[] => [...keptSnapshots(files, NOW)];

describe('names of snapshots', () => {
  test('say when, why, and how much had been written', () => {
    for (const why of ['auto', 'asked', 'before-restore', 'damaged'] as const) {
      const file = snapshotName(NOW, why, 17);
      expect(readSnapshotName(file)).toEqual({ file, time: NOW, why, written: 17 });
    }
  });
  test('of an older program say nothing of what had been written', () => {
    const file = 'brookrain-2026-06-15T12-00-00-000Z-auto.db';
    expect(readSnapshotName(file)).toEqual({ file, time: NOW, why: 'auto', written: undefined });
  });
  test.each(['brookrain.db', 'brookrain-x-auto.db', 'notes.txt', 'brookrain-auto.db.part'])(
    '%s is none',
    (file) => expect(readSnapshotName(file)).toBeUndefined(),
  );
});

describe('which snapshots stay', () => {
  test('all of the last 24 hours, however many', () => {
    const files = Array.from({ length: 70 }, (_, i) => taken(i * 60_000, 'auto', 100 - i));
    expect(kept(files)).toHaveLength(70);
  });
  test('one a day for a month, one a week for a year, none after that', () => {
    const files = Array.from({ length: 24 * 500 }, (_, i) => taken(i * HOUR, 'auto', 100_000 - i));
    const ages = kept(files).map(({ time }) => (NOW.getTime() - time.getTime()) / DAY);
    const count = (from: number, to: number): number =>
      ages.filter((age) => age >= from && age < to).length;
    expect(count(0, 1)).toBe(24);
    expect(count(1, 31)).toBeGreaterThanOrEqual(30);
    expect(count(1, 31)).toBeLessThanOrEqual(31);
    expect(count(31, 366)).toBeGreaterThanOrEqual(47);
    expect(count(31, 366)).toBeLessThanOrEqual(49);
    expect(count(366, 500)).toBe(0);
  });
  test('the newest few whatever their date, as after a clock that was a year ahead once', () => {
    const files = Array.from({ length: 203 }, (_, i) => taken((400 + i) * DAY, 'auto', 1000 - i));
    expect(kept(files)).toEqual(files.slice(0, NEWEST_KEPT));
    expect(kept(files.slice(0, NEWEST_KEPT - 1))).toHaveLength(NEWEST_KEPT - 1);
  });
  test('what was asked for, replaced or damaged always', () => {
    const files = (['asked', 'before-restore', 'damaged'] as const).map((why) =>
      taken(900 * DAY, why),
    );
    expect(kept(files)).toHaveLength(3);
  });
  test('of a day the one in which most had been written, whatever the clock says', () => {
    const good = taken(5 * DAY + HOUR, 'auto', 900);
    const emptied = taken(5 * DAY, 'auto', 3);
    const newer = Array.from({ length: NEWEST_KEPT }, (_, i) => taken(i * HOUR, 'auto', 1000 + i));
    expect(kept([...newer, emptied, good]).filter((file) => !newer.includes(file))).toEqual([good]);
  });
  test('what a clock that was set back wrote is not the first to go', () => {
    const before = taken(-3 * DAY, 'auto', 10);
    const after = taken(0, 'auto', 11);
    expect(kept([before, after])).toHaveLength(2);
    expect([before, after].sort(newestFirst)[0]).toBe(after);
  });
});
