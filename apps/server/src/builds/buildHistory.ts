import { CURRENT_VERSION } from '@brookrain/core';
import type { RevisionReply } from '@brookrain/contract';
import { Inject, Injectable } from '@nestjs/common';
import { and, asc, count, desc, eq, gt, gte, lt, lte, or, sql } from 'drizzle-orm';
import type { LaterEdit } from '../documents/conflict.ts';
import type { DocumentSource } from '../documents/documentAt.ts';
import { notFound } from '../errors.ts';
import type { Database } from '../storage/database.ts';
import { buildCheckpoints, buildRevisions } from '../storage/schema.ts';
import { DATABASE } from '../storage/token.ts';
import { Newest } from './newest.ts';
import { type HistoryStep, type UndoStacks, undoStacks } from './undoHistory.ts';

export type RevisionRow = typeof buildRevisions.$inferSelect;

/** A document is kept whole every so many revisions. */
export const CHECKPOINT_EVERY = 50;

/** Up to this format things stood in lists, and patches named them by position. */
const LAST_WITHOUT_IDS = 3;

/** Builds whose stacks of undo are remembered. */
const REMEMBERED = 500;

interface KnownStacks extends UndoStacks {
  /** the last revision that they know of */
  readonly upTo: number;
  readonly migratedAt: number | undefined;
}

/** Which revisions are told: those before one, with some words in them; '': all. */
export interface RevisionsAsked {
  readonly before: number | undefined;
  readonly find: string;
  readonly most: number;
}

/** What was: revisions of builds and the documents as they were then. */
@Injectable()
export class BuildHistory {
  private readonly stacks = new Newest<KnownStacks>(REMEMBERED);

  constructor(@Inject(DATABASE) private readonly database: Database) {}

  /** What is told of a page of the revisions of a build, newest first. */
  told(id: string, { before, find, most }: RevisionsAsked): RevisionReply[] {
    const { buildId, number, kind, author, time, words, hash } = buildRevisions;
    const sought = `%${find.replace(/[\\%_]/g, (sign) => `\\${sign}`)}%`;
    return this.database
      .select({ number, kind, author, time, words, hash })
      .from(buildRevisions)
      .where(
        and(
          eq(buildId, id),
          before === undefined ? undefined : lt(number, before),
          find === ''
            ? undefined
            : or(
                sql`${words} like ${sought} escape '\\'`,
                sql`${author} like ${sought} escape '\\'`,
              ),
        ),
      )
      .orderBy(desc(number))
      .limit(most)
      .all();
  }

  /** One revision; throws when there is none. */
  row(id: string, number: number): RevisionRow {
    const row = this.database
      .select()
      .from(buildRevisions)
      .where(and(eq(buildRevisions.buildId, id), eq(buildRevisions.number, number)))
      .get();
    if (!row) throw notFound(`there is no revision ${number}`);
    return row;
  }

  /** True when an edit with this id was already made on a build. */
  knows(id: string, editId: string): boolean {
    const known = this.database
      .select({ number: buildRevisions.number })
      .from(buildRevisions)
      .where(and(eq(buildRevisions.buildId, id), eq(buildRevisions.editId, editId)))
      .get();
    return known !== undefined;
  }

  /** Revisions that undo takes back and redo puts back next, with the words of their edits. */
  nextSteps(id: string): {
    undo: HistoryStep | undefined;
    redo: HistoryStep | undefined;
    /** the revision that brought the document up to this format, if there is one */
    migratedAt: number | undefined;
  } {
    const { undo, redo, migratedAt } = this.stacksOf(id);
    return { undo: this.step(id, undo.at(-1)), redo: this.step(id, redo.at(-1)), migratedAt };
  }

  /** The stacks of a build; of a history that is known only what was added is read. */
  private stacksOf(id: string): KnownStacks {
    const known = this.stacks.get(id) ?? { undo: [], redo: [], upTo: 0, migratedAt: undefined };
    const { number, kind, target } = buildRevisions;
    const added = this.database
      .select({ number, kind, target })
      .from(buildRevisions)
      .where(and(eq(buildRevisions.buildId, id), gt(number, known.upTo)))
      .orderBy(asc(number))
      .all();
    const last = added.at(-1);
    if (!last) return known;
    const stacks: KnownStacks = {
      ...undoStacks(added, known),
      upTo: last.number,
      migratedAt: added.findLast((step) => step.kind === 'migrate')?.number ?? known.migratedAt,
    };
    this.stacks.set(id, stacks);
    return stacks;
  }

  private step(id: string, wanted: number | undefined): HistoryStep | undefined {
    if (wanted === undefined) return undefined;
    const { number, kind, target, words } = buildRevisions;
    return this.database
      .select({ number, kind, target, words })
      .from(buildRevisions)
      .where(and(eq(buildRevisions.buildId, id), eq(number, wanted)))
      .get();
  }

  /** What the document of a revision is made from; null when there is none. */
  sourceAt(id: string, number: number): DocumentSource | null {
    const row = this.database
      .select({ formatVersion: buildRevisions.formatVersion })
      .from(buildRevisions)
      .where(and(eq(buildRevisions.buildId, id), eq(buildRevisions.number, number)))
      .get();
    if (!row) return null;
    return row.formatVersion <= LAST_WITHOUT_IDS
      ? this.legacySourceAt(id, number)
      : this.patchedSourceAt(id, number, row.formatVersion);
  }

  private patchedSourceAt(
    id: string,
    number: number,
    formatVersion: number,
  ): DocumentSource | null {
    const checkpoint = this.database
      .select()
      .from(buildCheckpoints)
      .where(and(eq(buildCheckpoints.buildId, id), lte(buildCheckpoints.number, number)))
      .orderBy(desc(buildCheckpoints.number))
      .limit(1)
      .get();
    if (!checkpoint) return null;
    return {
      kind: 'patched',
      checkpoint: checkpoint.document,
      patches: this.patches(id, checkpoint.number, number),
      formatVersion,
    };
  }

  /** Before format 4 there was one document, the newest: later patches are taken back from it. */
  private legacySourceAt(id: string, number: number): DocumentSource | null {
    const checkpoint = this.database
      .select()
      .from(buildCheckpoints)
      .where(and(eq(buildCheckpoints.buildId, id), gte(buildCheckpoints.number, number)))
      .orderBy(asc(buildCheckpoints.number))
      .limit(1)
      .get();
    if (!checkpoint) return null;
    const newestFirst = [...this.patches(id, number, checkpoint.number)].reverse();
    return { kind: 'legacy', checkpoint: checkpoint.document, newestFirst };
  }

  /** Patches of the revisions after one up to another, oldest first. */
  private patches(id: string, after: number, upTo: number): string[] {
    const { buildId, number, patch } = buildRevisions;
    return this.database
      .select({ patch })
      .from(buildRevisions)
      .where(and(eq(buildId, id), gt(number, after), lte(number, upTo)))
      .orderBy(asc(number))
      .all()
      .map((row) => row.patch);
  }

  /**
   * What others did since a revision: the last few edits, the document before the first of them, and
   * how many came before those. Edits of older formats cannot be compared.
   */
  laterEdits(
    id: string,
    after: number,
    most: number,
  ): {
    readonly later: readonly LaterEdit[];
    readonly before: DocumentSource | null;
    readonly untold: number;
  } {
    const { buildId, number, words, author, patch, formatVersion } = buildRevisions;
    const since = and(eq(buildId, id), gt(number, after));
    const all = this.database.select({ all: count() }).from(buildRevisions).where(since).get()!.all;
    const rows = this.database
      .select({ number, words, author, patch, formatVersion })
      .from(buildRevisions)
      .where(since)
      .orderBy(desc(number))
      .limit(most)
      .all()
      .reverse();
    const isComparable = rows.every((row) => row.formatVersion === CURRENT_VERSION);
    return {
      later: rows,
      before: isComparable ? this.sourceAt(id, (rows[0]?.number ?? 1) - 1) : null,
      untold: all - rows.length,
    };
  }
}
