import type { RecordEntryMessage, RecordEntryReply } from '@brookrain/contract';
import type { RecordKind, RecordSaid } from '@brookrain/core';
import { Inject, Injectable } from '@nestjs/common';
import { asc, eq, max } from 'drizzle-orm';
import { RefusedRequest, badInput, notFound } from '../errors.ts';
import { NOBODY } from '../requests.ts';
import type { Database } from '../storage/database.ts';
import { LastWritten } from '../storage/lastWritten.ts';
import { builds, recordEntries } from '../storage/schema.ts';
import { DATABASE } from '../storage/token.ts';

type Row = typeof recordEntries.$inferSelect;

/** An entry says so much, and each word of it is so long. */
const MOST_SAID = 12;
const LONGEST = 240;

/** Why what an entry says cannot be kept; undefined where it can. */
function saidIssue(said: object): string | undefined {
  const entries = Object.entries(said);
  if (entries.length > MOST_SAID) return `at most ${MOST_SAID} things are said in one entry`;
  for (const [name, value] of entries) {
    if (name.length > 40) return 'what is said has a name of up to 40 letters';
    const isFine =
      value === null ||
      typeof value === 'boolean' ||
      (typeof value === 'number' && Number.isFinite(value)) ||
      (typeof value === 'string' && value.length <= LONGEST);
    if (!isFine) return `${name}: words of up to ${LONGEST} letters, a number, yes or no`;
  }
  return undefined;
}

const replyOf = (row: Row): RecordEntryReply => ({
  id: row.id,
  kind: row.kind as RecordKind,
  subject: row.subject,
  said: JSON.parse(row.said) as RecordSaid,
  corrects: row.corrects,
  revision: row.revision,
  author: row.author,
  device: row.device,
  time: row.time,
});

/** What happened to builds: entries are added, never changed and never taken out. */
@Injectable()
export class RecordStore {
  constructor(
    @Inject(DATABASE) private readonly database: Database,
    @Inject(LastWritten) private readonly last: LastWritten,
  ) {}

  list(buildId: string): readonly RecordEntryReply[] {
    this.need(buildId);
    return this.database
      .select()
      .from(recordEntries)
      .where(eq(recordEntries.buildId, buildId))
      .orderBy(asc(recordEntries.number))
      .all()
      .map(replyOf);
  }

  private need(buildId: string): void {
    const found = this.database
      .select({ id: builds.id })
      .from(builds)
      .where(eq(builds.id, buildId))
      .get();
    if (!found) throw notFound(`there is no build "${buildId.slice(0, 60)}"`);
  }

  /**
   * Adds entries, all or none; one that is there already with the same words is left as it is. Throws
   * 400 for what cannot be kept, 409 for an id that stands for something else.
   */
  add(buildId: string, entries: readonly RecordEntryMessage[], device: string): number {
    this.need(buildId);
    entries.forEach(({ said }, i) => {
      const issue = saidIssue(said);
      if (issue !== undefined) throw badInput([{ path: `entries.${i}.said`, message: issue }]);
    });
    const added = this.database.transaction((transaction) => {
      const last = transaction
        .select({ number: max(recordEntries.number) })
        .from(recordEntries)
        .where(eq(recordEntries.buildId, buildId))
        .get();
      let number = last?.number ?? 0;
      let added = 0;
      for (const entry of entries) {
        const said = JSON.stringify(entry.said);
        const known = transaction
          .select()
          .from(recordEntries)
          .where(eq(recordEntries.id, entry.id))
          .get();
        if (known) {
          const isSame =
            known.buildId === buildId &&
            known.kind === entry.kind &&
            known.subject === entry.subject &&
            known.said === said;
          if (isSame) continue;
          throw new RefusedRequest(409, {
            code: 'refused',
            message: 'another entry has this id: nothing was kept',
          });
        }
        number += 1;
        added += 1;
        transaction
          .insert(recordEntries)
          .values({
            id: entry.id,
            number,
            buildId,
            revision: entry.revision,
            kind: entry.kind,
            subject: entry.subject,
            said,
            corrects: entry.corrects ?? null,
            author: entry.author ?? NOBODY,
            device,
            time: entry.time,
          })
          .run();
      }
      return added;
    });
    if (added > 0) this.last.add({ entries: added });
    return added;
  }
}
