/**
 * What can be said at the vehicle: a wire was cut, sits in its cavity, was buzzed out from end to end,
 * was found to lead somewhere, or something was measured.
 */
export const recordKinds = ['cut', 'pinned', 'buzzed', 'read', 'measured'] as const;
export type RecordKind = (typeof recordKinds)[number];

/** What an entry says besides of what it is: plain words and numbers, SI. */
export type RecordSaid = Readonly<Record<string, string | number | boolean | null>>;

/** Something that happened to a build; never changed, a correction is an entry of its own. */
export interface RecordEntry {
  /** given where it was made, so that one that is sent twice is kept once */
  readonly id: string;
  readonly kind: RecordKind;
  /** what it is about: a wire, a wire at one of its ends, or where in the build a reading stands */
  readonly subject: string;
  readonly said: RecordSaid;
  /** the entry that it takes back, or puts right */
  readonly corrects: string | null;
  /** revision of the build that it was made against */
  readonly revision: number;
  readonly author: string;
  /** ISO 8601 */
  readonly time: string;
}

/** Said by an entry that takes another one back and says nothing in its place. */
export const TAKEN_BACK: RecordSaid = { takenBack: true };

/** What stands of a record, the newest of each kind and subject: nothing that was taken back. */
export function standingEntries<Entry extends RecordEntry>(
  entries: readonly Entry[],
): readonly Entry[] {
  const corrected = new Set(entries.flatMap(({ corrects }) => corrects ?? []));
  const newest = new Map<string, Entry>();
  for (const entry of entries) {
    if (corrected.has(entry.id)) continue;
    const key = JSON.stringify([entry.kind, entry.subject]);
    newest.delete(key);
    newest.set(key, entry);
  }
  return [...newest.values()].filter(({ said }) => said['takenBack'] !== true);
}
