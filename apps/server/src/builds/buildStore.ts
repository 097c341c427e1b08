import { randomUUID } from 'node:crypto';
import { CURRENT_VERSION, type ItemRef, storedDocument } from '@brookrain/core';
import { type BuildSummary, REVISIONS_A_PAGE, type RevisionReply } from '@brookrain/contract';
import { Inject, Injectable } from '@nestjs/common';
import { asc, count, eq, sql } from 'drizzle-orm';
import type { CatalogueRow } from '../catalogue/catalogueRow.ts';
import { CatalogueStore } from '../catalogue/catalogueStore.ts';
import type { DocumentSource } from '../documents/documentAt.ts';
import { type DocumentText, documentText } from '../documents/documentText.ts';
import { notFound } from '../errors.ts';
import type { Database } from '../storage/database.ts';
import { LastWritten } from '../storage/lastWritten.ts';
import { buildCheckpoints, buildRevisions, builds } from '../storage/schema.ts';
import type { Generation } from '../storage/generation.ts';
import { DATABASE, GENERATION } from '../storage/token.ts';
import {
  BuildHistory,
  CHECKPOINT_EVERY,
  type RevisionRow,
  type RevisionsAsked,
} from './buildHistory.ts';
import { Newest } from './newest.ts';
import { type StoredBuild, buildReplyJson, revisionKey } from './storedBuild.ts';

type BuildRow = typeof builds.$inferSelect;

/** One revision to be appended, as it is stored. */
export interface NewRevision {
  readonly kind: RevisionRow['kind'];
  readonly target: number | null;
  readonly author: string;
  readonly words: string;
  /** command, patch and what takes it back, as JSON */
  readonly command: string | null;
  readonly patch: string;
  readonly inverse: string;
  readonly editId?: string | undefined;
}

/** A reply as it is sent, and the version it is known by. */
export interface Sent {
  readonly body: Buffer;
  readonly version: string;
}

/** Documents that are remembered as they stand, in letters: those that were asked for last. */
const REMEMBERED = 32e6;

/** Builds of which it is remembered what they refer to. */
const REFERENCES_REMEMBERED = 5000;

/** A patch of this share of its document is followed by a checkpoint: later revisions are read quicker. */
const LARGE_PATCH = 0.25;

/** A build with the items of the catalogue that it refers to. */
export interface BuildReferences extends Pick<BuildSummary, 'id' | 'name' | 'archived'> {
  readonly items: readonly ItemRef[];
}

/** Builds and their revisions in SQLite. */
@Injectable()
export class BuildStore {
  /** replies as they are sent, and the histories told with them */
  private readonly sent = new WeakMap<StoredBuild, { build?: Buffer; revisions?: Buffer }>();
  /** builds as they stand; a revision never changes */
  private readonly known = new Newest<StoredBuild>(REMEMBERED, ({ asText }) => asText.text.length);
  /** items that builds refer to, by build and revision */
  private readonly referred = new Newest<readonly ItemRef[]>(REFERENCES_REMEMBERED);
  /** asks at which revision a build stands; prepared once, since every read asks it */
  private readonly head;

  constructor(
    @Inject(DATABASE) private readonly database: Database,
    @Inject(CatalogueStore) private readonly catalogue: CatalogueStore,
    @Inject(BuildHistory) private readonly history: BuildHistory,
    @Inject(LastWritten) private readonly last: LastWritten,
    @Inject(GENERATION) private readonly generation: Generation,
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
  read(id: string): StoredBuild {
    const head = this.head.get({ id });
    const known = this.known.get(id);
    if (head && known?.revision === head.revision) return known;
    const row = this.row(id);
    return this.remember(row, row.document);
  }

  private remember(
    { id, revision, name, updatedAt }: Pick<BuildRow, 'id' | 'revision' | 'name' | 'updatedAt'>,
    text: string,
  ): StoredBuild {
    const { undo, redo } = this.history.nextSteps(id);
    const { id: generation } = this.generation;
    const build: StoredBuild = {
      id,
      revision,
      name,
      updatedAt,
      generation,
      undo: undo?.words ?? null,
      redo: redo?.words ?? null,
      asText: { key: revisionKey(generation, id, revision), id, revision, text },
    };
    this.known.set(id, build);
    return build;
  }

  /** A build as it is sent; written once for each revision. */
  sentBuild(build: StoredBuild): Sent {
    const sent = this.sentOf(build);
    sent.build ??= Buffer.from(buildReplyJson(build));
    return { body: sent.build, version: `${build.revision}-${build.updatedAt}` };
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

  private sentOf(build: StoredBuild): { build?: Buffer; revisions?: Buffer } {
    const known = this.sent.get(build);
    if (known) return known;
    const sent = {};
    this.sent.set(build, sent);
    return sent;
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

  /** Items that each build refers to, by name of the build; `read` finds those of a document. */
  async references(
    read: (text: string) => Promise<readonly ItemRef[]>,
  ): Promise<BuildReferences[]> {
    const found: BuildReferences[] = [];
    for (const { id, name, archived, revision } of this.list()) {
      const key = `${id}@${revision}`;
      let items = this.referred.get(key);
      if (!items) {
        items = await read(this.row(id).document);
        this.referred.set(key, items);
      }
      found.push({ id, name, archived, items });
    }
    return found;
  }

  /** What the document of a revision is made from. Throws 404 where there is none. */
  sourceAt(id: string, number: number): DocumentSource {
    const build = this.read(id);
    if (number === build.revision) {
      return { kind: 'whole', text: build.asText.text, isChecked: true };
    }
    const source = this.history.sourceAt(id, number);
    if (!source) throw notFound(`there is no revision ${number}`);
    return source;
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
          this.write(transaction, row.id, number, documentText(document), {
            kind: 'migrate',
            target: null,
            author: 'Brookrain',
            words: `Brought up to format ${CURRENT_VERSION}; undo ends here`,
            command: null,
            patch: '[]',
            inverse: '[]',
            time,
          });
        },
        { behavior: 'immediate' },
      );
      this.last.add({ edits: 1 });
      this.known.delete(row.id);
    }
  }

  create(input: {
    document: DocumentText;
    author: string;
    words: string;
    rows?: readonly CatalogueRow[];
    demo?: boolean;
    id?: string;
  }): StoredBuild {
    const id = input.id ?? randomUUID();
    const time = new Date().toISOString();
    this.database.transaction(
      (transaction) => {
        this.catalogue.add(transaction, input.rows ?? []);
        transaction
          .insert(builds)
          .values({
            id,
            name: input.document.name,
            description: input.document.description,
            revision: 1,
            // Written with the first revision, in the same transaction.
            document: '',
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
          patch: '[]',
          inverse: '[]',
          time,
        });
      },
      { behavior: 'immediate' },
    );
    this.last.add({ edits: 1, items: input.rows?.length ?? 0 });
    return this.read(id);
  }

  /**
   * Appends a revision if the build still stands at `baseRevision`; undefined when it does not.
   * The check and the write are one transaction.
   */
  append(input: {
    id: string;
    baseRevision: number;
    document: DocumentText;
    revision: NewRevision;
    rows?: readonly CatalogueRow[];
  }): StoredBuild | undefined {
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
        this.catalogue.add(transaction, input.rows ?? []);
        this.write(transaction, id, number, document, { ...revision, time });
        return true;
      },
      { behavior: 'immediate' },
    );
    if (!written) return undefined;
    this.last.add({ edits: 1, items: input.rows?.length ?? 0 });
    const { name, text } = document;
    return this.remember({ id, revision: input.baseRevision + 1, name, updatedAt: time }, text);
  }

  /** Writes a revision, the document it leads to and, where one is due, a checkpoint. */
  private write(
    transaction: Pick<Database, 'insert' | 'update'>,
    id: string,
    number: number,
    document: DocumentText,
    revision: NewRevision & { readonly time: string },
  ): void {
    const { text: stored, hash } = document;
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
        command: revision.command,
        patch: revision.patch,
        inverse: revision.inverse,
        formatVersion: document.version,
        hash,
        editId: editId ?? null,
      })
      .run();
    const whole =
      kind === 'create' ||
      kind === 'migrate' ||
      number % CHECKPOINT_EVERY === 0 ||
      revision.patch.length > stored.length * LARGE_PATCH;
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
