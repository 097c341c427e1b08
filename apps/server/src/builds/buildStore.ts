import { randomUUID } from 'node:crypto';
import { setImmediate as nextTurn } from 'node:timers/promises';
import {
  type BuildCommand,
  type BuildDocument,
  type CatalogueItem,
  CURRENT_VERSION,
  type ItemRef,
  type Patch,
  referencesOf,
  storedDocument,
} from '@brookrain/core';
import {
  type BuildReply,
  type BuildSummary,
  REVISIONS_A_PAGE,
  type RevisionReply,
} from '@brookrain/contract';
import { Inject, Injectable } from '@nestjs/common';
import { asc, count, eq, sql } from 'drizzle-orm';
import { CatalogueStore } from '../catalogue/catalogueStore.ts';
import { notFound } from '../errors.ts';
import type { Database } from '../storage/database.ts';
import { LastWritten } from '../storage/lastWritten.ts';
import { documentHash } from '../storage/documentHash.ts';
import { buildCheckpoints, buildRevisions, builds } from '../storage/schema.ts';
import { DATABASE } from '../storage/token.ts';
import {
  BuildHistory,
  CHECKPOINT_EVERY,
  type RevisionRow,
  type RevisionsAsked,
} from './buildHistory.ts';
import { Newest } from './newest.ts';

type BuildRow = typeof builds.$inferSelect;

/** One revision to be appended. */
export interface NewRevision {
  readonly kind: RevisionRow['kind'];
  readonly target: number | null;
  readonly author: string;
  readonly words: string;
  readonly command: BuildCommand | null;
  readonly patch: Patch;
  readonly inverse: Patch;
  readonly editId?: string | undefined;
}

/** A reply as it is sent, and the version it is known by. */
export interface Sent {
  readonly body: Buffer;
  readonly version: string;
}

/** Builds that are remembered as they stand: those that were asked for last. */
const REMEMBERED = 60;

/** Builds of which it is remembered what they refer to. */
const REFERENCES_REMEMBERED = 5000;

/** A build with the items of the catalogue that it refers to. */
export interface BuildReferences extends Pick<BuildSummary, 'id' | 'name' | 'archived'> {
  readonly items: readonly ItemRef[];
}

/** Builds and their revisions in SQLite. */
@Injectable()
export class BuildStore {
  /** replies as they are sent, and the histories told with them */
  private readonly sent = new WeakMap<BuildReply, { build?: Buffer; revisions?: Buffer }>();
  /** newest replies by build; a revision never changes */
  private readonly known = new Newest<BuildReply>(REMEMBERED);
  /** items that builds refer to, by build and revision */
  private readonly referred = new Newest<readonly ItemRef[]>(REFERENCES_REMEMBERED);
  /** asks at which revision a build stands; prepared once, since every read asks it */
  private readonly head;

  constructor(
    @Inject(DATABASE) private readonly database: Database,
    @Inject(CatalogueStore) private readonly catalogue: CatalogueStore,
    @Inject(BuildHistory) private readonly history: BuildHistory,
    @Inject(LastWritten) private readonly last: LastWritten,
  ) {
    this.head = database
      .select({ revision: builds.revision })
      .from(builds)
      .where(eq(builds.id, sql.placeholder('id')))
      .prepare();
  }

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
    const head = this.head.get({ id });
    const known = this.known.get(id);
    if (head && known?.revision === head.revision) return known;
    const reply = this.readAnew(id);
    this.known.set(id, reply);
    return reply;
  }

  /** A build as it stands, as it is sent; written once for each revision. */
  readSent(id: string): Sent {
    const reply = this.read(id);
    const sent = this.sentOf(reply);
    sent.build ??= Buffer.from(JSON.stringify(reply));
    return { body: sent.build, version: `${reply.revision}-${reply.updatedAt}` };
  }

  /** A page of the history of a build, newest first. */
  revisions(
    id: string,
    asked: RevisionsAsked = { before: undefined, find: '', most: REVISIONS_A_PAGE },
  ): RevisionReply[] {
    this.row(id);
    return this.history.told(id, asked);
  }

  /** The newest page of the history of a build as it is sent; written once for each revision. */
  revisionsSent(id: string): Sent {
    const reply = this.read(id);
    const sent = this.sentOf(reply);
    sent.revisions ??= Buffer.from(JSON.stringify(this.revisions(id)));
    return { body: sent.revisions, version: `history-${reply.revision}-${reply.updatedAt}` };
  }

  private sentOf(reply: BuildReply): { build?: Buffer; revisions?: Buffer } {
    const known = this.sent.get(reply);
    if (known) return known;
    const sent = {};
    this.sent.set(reply, sent);
    return sent;
  }

  private readAnew(id: string): BuildReply {
    const row = this.row(id);
    return this.reply(id, row.revision, row.updatedAt, JSON.parse(row.document) as BuildDocument);
  }

  private reply(
    id: string,
    revision: number,
    updatedAt: string,
    document: BuildDocument,
  ): BuildReply {
    const { undo, redo } = this.history.nextSteps(id);
    return {
      id,
      revision,
      document,
      undo: undo?.words ?? null,
      redo: redo?.words ?? null,
      updatedAt,
    };
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

  /**
   * What each build refers to, by name of the build. What is not known yet is read one build after the
   * other, so that others are answered meanwhile.
   */
  async references(): Promise<BuildReferences[]> {
    const found: BuildReferences[] = [];
    for (const { id, name, archived, revision } of this.list()) {
      const key = `${id}@${revision}`;
      let items = this.referred.get(key);
      if (!items) {
        await nextTurn();
        items = referencesOf(this.readAnew(id).document);
        this.referred.set(key, items);
      }
      found.push({ id, name, archived, items });
    }
    return found;
  }

  /** The document as it was at a revision; null when there is none. */
  documentAt(id: string, number: number): BuildDocument | null {
    this.row(id);
    return this.history.documentAt(id, number);
  }

  /**
   * Brings documents of older formats up to this one: each as a revision of its own, with the
   * document as it was before and as it is now kept whole.
   */
  bringUpToDate(): void {
    for (const row of this.database.select().from(builds).all()) {
      const stored = JSON.parse(row.document) as { version: number };
      if (stored.version === CURRENT_VERSION) continue;
      const document = storedDocument(stored);
      const number = row.revision + 1;
      const time = new Date().toISOString();
      this.database.transaction(
        (transaction) => {
          transaction
            .insert(buildCheckpoints)
            .values({
              buildId: row.id,
              number: row.revision,
              formatVersion: stored.version,
              document: row.document,
            })
            // The newest revision may be kept whole already.
            .onConflictDoNothing()
            .run();
          this.write(transaction, row.id, number, document, {
            kind: 'migrate',
            target: null,
            author: 'Brookrain',
            words: `Brought up to format ${CURRENT_VERSION}; undo ends here`,
            command: null,
            patch: [],
            inverse: [],
            time,
          });
        },
        { behavior: 'immediate' },
      );
      this.last.add();
      this.known.delete(row.id);
    }
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
        this.write(transaction, id, 1, input.document, {
          kind: 'create',
          target: null,
          author: input.author,
          words: input.words,
          command: null,
          patch: [],
          inverse: [],
          time,
        });
      },
      { behavior: 'immediate' },
    );
    this.last.add();
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
        this.write(transaction, id, number, document, { ...revision, time });
        return true;
      },
      { behavior: 'immediate' },
    );
    if (!written) return undefined;
    this.last.add();
    const reply = this.reply(id, input.baseRevision + 1, time, document);
    this.known.set(id, reply);
    return reply;
  }

  /** Writes a revision, the document it leads to and, where one is due, a checkpoint. */
  private write(
    transaction: Pick<Database, 'insert' | 'update'>,
    id: string,
    number: number,
    document: BuildDocument,
    revision: NewRevision & { readonly time: string },
  ): void {
    const stored = JSON.stringify(document);
    const { kind, target, author, words, time, editId } = revision;
    transaction
      .insert(buildRevisions)
      .values({
        buildId: id,
        number,
        kind,
        target,
        author,
        time,
        words,
        command: revision.command ? JSON.stringify(revision.command) : null,
        patch: JSON.stringify(revision.patch),
        inverse: JSON.stringify(revision.inverse),
        formatVersion: document.version,
        hash: documentHash(document),
        editId: editId ?? null,
      })
      .run();
    const whole = kind === 'create' || kind === 'migrate' || number % CHECKPOINT_EVERY === 0;
    if (whole) {
      transaction
        .insert(buildCheckpoints)
        .values({ buildId: id, number, formatVersion: document.version, document: stored })
        .run();
    }
    transaction
      .update(builds)
      .set({
        name: document.name,
        description: document.description,
        revision: number,
        document: stored,
        updatedAt: time,
      })
      .where(eq(builds.id, id))
      .run();
  }
}
