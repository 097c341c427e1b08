import { randomUUID } from 'node:crypto';
import {
  type BuildCommand,
  type BuildDocument,
  type CatalogueItem,
  type Patch,
  applyPatch,
  hashOf,
  invertPatch,
  storedDocument,
} from '@brookrain/core';
import type { BuildReply, BuildSummary, RevisionReply } from '@brookrain/contract';
import { Inject, Injectable } from '@nestjs/common';
import { and, asc, count, desc, eq, gt } from 'drizzle-orm';
import { CatalogueStore } from '../catalogue/catalogueStore.ts';
import { notFound } from '../errors.ts';
import type { Database } from '../storage/database.ts';
import { buildRevisions, builds } from '../storage/schema.ts';
import { DATABASE } from '../storage/token.ts';
import { undoStacks } from './undoHistory.ts';

type BuildRow = typeof builds.$inferSelect;
type RevisionRow = typeof buildRevisions.$inferSelect;

/** One revision to be appended. */
export interface NewRevision {
  readonly kind: RevisionRow['kind'];
  readonly target: number | null;
  readonly author: string;
  readonly words: string;
  readonly command: BuildCommand | null;
  readonly patch: Patch;
  readonly editId?: string | undefined;
}

/** Builds and their revisions in SQLite. */
@Injectable()
export class BuildStore {
  /** newest replies by build; a revision never changes */
  private readonly known = new Map<string, BuildReply>();

  constructor(
    @Inject(DATABASE) private readonly database: Database,
    @Inject(CatalogueStore) private readonly catalogue: CatalogueStore,
  ) {}

  count(): number {
    return this.database.select({ count: count() }).from(builds).get()!.count;
  }

  list(): BuildSummary[] {
    return this.database
      .select({
        id: builds.id,
        name: builds.name,
        description: builds.description,
        revision: builds.revision,
        updatedAt: builds.updatedAt,
        demo: builds.demo,
        archived: builds.archived,
      })
      .from(builds)
      .orderBy(asc(builds.name))
      .all();
  }

  private row(id: string): BuildRow {
    const row = this.database.select().from(builds).where(eq(builds.id, id)).get();
    if (!row) throw notFound(`there is no build "${id.slice(0, 60)}"`);
    return row;
  }

  /** A build as it stands; the same object until it changes. */
  read(id: string): BuildReply {
    const head = this.database
      .select({ revision: builds.revision })
      .from(builds)
      .where(eq(builds.id, id))
      .get();
    const known = this.known.get(id);
    if (head && known?.revision === head.revision) return known;
    const reply = this.readAnew(id);
    this.known.set(id, reply);
    return reply;
  }

  private readAnew(id: string): BuildReply {
    const row = this.row(id);
    const history = this.database
      .select({
        number: buildRevisions.number,
        kind: buildRevisions.kind,
        target: buildRevisions.target,
        words: buildRevisions.words,
      })
      .from(buildRevisions)
      .where(eq(buildRevisions.buildId, id))
      .orderBy(asc(buildRevisions.number))
      .all();
    const { undo, redo } = undoStacks(history);
    const wordsOf = (number: number | undefined) =>
      history.find((step) => step.number === number)?.words ?? null;
    return {
      id,
      revision: row.revision,
      document: storedDocument(JSON.parse(row.document)),
      undo: wordsOf(undo.at(-1)),
      redo: wordsOf(redo.at(-1)),
      updatedAt: row.updatedAt,
    };
  }

  revisions(id: string): RevisionReply[] {
    this.row(id);
    return this.database
      .select({
        number: buildRevisions.number,
        kind: buildRevisions.kind,
        author: buildRevisions.author,
        time: buildRevisions.time,
        words: buildRevisions.words,
        hash: buildRevisions.hash,
      })
      .from(buildRevisions)
      .where(eq(buildRevisions.buildId, id))
      .orderBy(desc(buildRevisions.number))
      .all();
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

  has(id: string): boolean {
    return this.database.select({ id: builds.id }).from(builds).where(eq(builds.id, id)).get()
      ? true
      : false;
  }

  /** Puts a build away or takes it out again. */
  archive(id: string, archived: boolean): void {
    this.row(id);
    this.database.update(builds).set({ archived }).where(eq(builds.id, id)).run();
  }

  /** Newest documents of all builds. */
  documents(): { id: string; name: string; archived: boolean; document: BuildDocument }[] {
    return this.database
      .select()
      .from(builds)
      .orderBy(asc(builds.name))
      .all()
      .map(({ id, name, archived, document }) => ({
        id,
        name,
        archived,
        document: storedDocument(JSON.parse(document)),
      }));
  }

  /** Revisions after one, oldest first. */
  since(id: string, number: number): RevisionRow[] {
    return this.database
      .select()
      .from(buildRevisions)
      .where(and(eq(buildRevisions.buildId, id), gt(buildRevisions.number, number)))
      .orderBy(asc(buildRevisions.number))
      .all();
  }

  /** One revision; throws when there is none. */
  revision(id: string, number: number): RevisionRow {
    const row = this.database
      .select()
      .from(buildRevisions)
      .where(and(eq(buildRevisions.buildId, id), eq(buildRevisions.number, number)))
      .get();
    if (!row) throw notFound(`there is no revision ${number}`);
    return row;
  }

  /** The newest revision that undo would take back or redo would put back. */
  nextStep(id: string, direction: 'undo' | 'redo'): number | undefined {
    const history = this.database
      .select({
        number: buildRevisions.number,
        kind: buildRevisions.kind,
        target: buildRevisions.target,
      })
      .from(buildRevisions)
      .where(eq(buildRevisions.buildId, id))
      .orderBy(asc(buildRevisions.number))
      .all();
    return undoStacks(history)[direction].at(-1);
  }

  /** The document as it was at a revision: later patches are taken back. */
  documentAt(id: string, number: number): BuildDocument | null {
    const row = this.row(id);
    if (number < 1 || number > row.revision) return null;
    const now = storedDocument(JSON.parse(row.document));
    return this.since(id, number)
      .reverse()
      .reduce((doc, r) => applyPatch(doc, invertPatch(JSON.parse(r.patch) as Patch)), now);
  }

  create(input: {
    document: BuildDocument;
    author: string;
    words: string;
    items: readonly CatalogueItem[];
    demo?: boolean;
    id?: string;
  }): BuildReply {
    const id = input.id ?? randomUUID();
    const time = new Date().toISOString();
    this.database.transaction(
      (transaction) => {
        this.catalogue.add(transaction, input.items);
        transaction
          .insert(builds)
          .values({
            id,
            name: input.document.name,
            description: input.document.description,
            revision: 1,
            document: JSON.stringify(input.document),
            demo: input.demo ?? false,
            updatedAt: time,
          })
          .run();
        transaction
          .insert(buildRevisions)
          .values({
            buildId: id,
            number: 1,
            kind: 'create',
            target: null,
            author: input.author,
            time,
            words: input.words,
            command: null,
            patch: '[]',
            hash: hashOf(input.document),
          })
          .run();
      },
      { behavior: 'immediate' },
    );
    return this.read(id);
  }

  /**
   * Appends a revision if the build still stands at `baseRevision`; undefined when it does not.
   * The check and the write are one transaction.
   */
  append(input: {
    id: string;
    baseRevision: number;
    document: BuildDocument;
    revision: NewRevision;
    items?: readonly CatalogueItem[];
  }): BuildReply | undefined {
    const { id, document, revision } = input;
    const time = new Date().toISOString();
    const written = this.database.transaction(
      (transaction) => {
        const head = transaction
          .select({ revision: builds.revision })
          .from(builds)
          .where(eq(builds.id, id))
          .get();
        if (head?.revision !== input.baseRevision) return false;
        const number = input.baseRevision + 1;
        this.catalogue.add(transaction, input.items ?? []);
        transaction
          .insert(buildRevisions)
          .values({
            buildId: id,
            number,
            kind: revision.kind,
            target: revision.target,
            author: revision.author,
            time,
            words: revision.words,
            command: revision.command ? JSON.stringify(revision.command) : null,
            patch: JSON.stringify(revision.patch),
            hash: hashOf(document),
            editId: revision.editId ?? null,
          })
          .run();
        transaction
          .update(builds)
          .set({
            name: document.name,
            description: document.description,
            revision: number,
            document: JSON.stringify(document),
            updatedAt: time,
          })
          .where(eq(builds.id, id))
          .run();
        return true;
      },
      { behavior: 'immediate' },
    );
    return written ? this.read(id) : undefined;
  }
}
