import { Inject, Injectable } from '@nestjs/common';
import type { ImportPreview } from '@brookrain/contract';
import type { BuildDocument, ItemRef } from '@brookrain/core';
import { type CatalogueRow } from '../catalogue/catalogueRow.ts';
import { CatalogueStore } from '../catalogue/catalogueStore.ts';
import { MOST_NAMED } from '../documents/conflict.ts';
import type { DocumentSource } from '../documents/documentAt.ts';
import type { DocumentText } from '../documents/documentText.ts';
import type { EditResult, MadeEdit } from '../documents/edits.ts';
import { ConflictRefused, RefusedRequest } from '../errors.ts';
import { LiveEvents } from '../live/liveEvents.ts';
import { NOBODY } from '../requests.ts';
import type { Generation } from '../storage/generation.ts';
import { GENERATION } from '../storage/token.ts';
import { DocumentWork, type RunDocumentJob } from '../work/documentWork.ts';
import { WorkQueue } from '../work/workQueue.ts';
import { BuildHistory } from './buildHistory.ts';
import { BuildStore, type NewRevision } from './buildStore.ts';
import type { StoredBuild } from './storedBuild.ts';

/** Who changes a build, and what of it they saw. */
export interface Change {
  readonly baseRevision: number;
  /** generation of the data that the revision was read from */
  readonly generation?: string | undefined;
  readonly author: string;
  readonly editId?: string | undefined;
}

const OTHERS_CHANGED = 'someone else changed this build meanwhile; your edit was not made';
const DATA_REPLACED =
  'the data were put back from a snapshot meanwhile; look at the build as it is now: your edit was not made';

/** What kind of revision an edit becomes; without words it has its own. */
type RevisionKind = Pick<NewRevision, 'kind' | 'target'> & { readonly words?: string };

/** Checks edits, applies them and keeps them as revisions. */
@Injectable()
export class BuildEditor {
  constructor(
    @Inject(BuildStore) private readonly store: BuildStore,
    @Inject(BuildHistory) private readonly history: BuildHistory,
    @Inject(CatalogueStore) private readonly catalogue: CatalogueStore,
    @Inject(LiveEvents) private readonly live: LiveEvents,
    @Inject(WorkQueue) private readonly work: WorkQueue,
    @Inject(DocumentWork) private readonly documents: DocumentWork,
    @Inject(GENERATION) private readonly generation: Generation,
  ) {}

  /** Makes an edit that is sent as JSON: one command. 400 when refused, 409 when stale. */
  edit(id: string, body: Uint8Array): Promise<StoredBuild> {
    return this.documents.turn(async (run) => {
      const current = this.store.read(id);
      const result = await run<'edit'>({
        kind: 'edit',
        build: current.asText,
        generation: this.generation.id,
        body,
      });
      const change = { ...result.head, author: result.head.author ?? NOBODY };
      if (this.isDone(id, change)) return current;
      if (result.kind === 'stale' || this.isOfAnotherLine(change)) {
        const command = result.kind === 'unchanged' ? null : result.command;
        throw await this.conflict(run, current, change, command);
      }
      return this.keep(current, result, change, { kind: 'edit', target: null });
    });
  }

  /** Takes back the newest edit, or puts back the newest one taken back. */
  step(id: string, change: Change, direction: 'undo' | 'redo'): Promise<StoredBuild> {
    return this.changed(id, change, async (current, run) => {
      const next = this.history.nextSteps(id);
      const target = next[direction];
      if (!target) throw nothingTo(direction, next.migratedAt);
      const row = this.history.row(id, target.number);
      const [backward, forward] = [row.inverse ?? '[]', row.patch];
      const [patch, inverse] = direction === 'undo' ? [backward, forward] : [forward, backward];
      const words = `${direction === 'undo' ? 'Undo' : 'Redo'}: ${row.words}`;
      const result = await run<'step'>({
        kind: 'step',
        build: current.asText,
        step: { patch, inverse, words },
      });
      return this.keep(current, result, change, { kind: direction, target: target.number });
    });
  }

  /** Makes a build what it was at an earlier revision; one edit that can be undone. */
  goBack(id: string, change: Change, revision: number): Promise<StoredBuild> {
    return this.changed(id, change, (current, run) =>
      this.replaced(run, current, change, {
        by: this.store.sourceAt(id, revision),
        words: `Go back to revision ${revision}`,
      }),
    );
  }

  /** Puts a whole document in the place of a build's; one edit that can be undone. */
  replace(
    id: string,
    author: string,
    by: { readonly document: BuildDocument; readonly words: string },
  ): Promise<StoredBuild> {
    return this.documents.turn((run) => {
      const current = this.store.read(id);
      const text = JSON.stringify(by.document);
      return this.replaced(
        run,
        current,
        { baseRevision: current.revision, author },
        { by: { kind: 'whole', text, isChecked: true }, words: by.words },
      );
    });
  }

  private async replaced(
    run: RunDocumentJob,
    current: StoredBuild,
    change: Change,
    { by, words }: { readonly by: DocumentSource; readonly words: string },
    rows: readonly CatalogueRow[] = [],
  ): Promise<StoredBuild> {
    const build = current.asText;
    const result = await run<'replace'>({ kind: 'replace', build, by, words });
    return this.keep(current, result, change, { kind: 'edit', target: null }, rows);
  }

  /** A turn in which a build is changed that stands as the sender saw it; 409 where it does not. */
  private changed(
    id: string,
    change: Change,
    act: (current: StoredBuild, run: RunDocumentJob) => Promise<StoredBuild>,
  ): Promise<StoredBuild> {
    return this.documents.turn(async (run) => {
      const current = this.store.read(id);
      if (this.isDone(id, change)) return current;
      if (current.revision !== change.baseRevision || this.isOfAnotherLine(change)) {
        throw await this.conflict(run, current, change, null);
      }
      return act(current, run);
    });
  }

  private isDone(id: string, change: Change): boolean {
    return change.editId !== undefined && this.history.knows(id, change.editId);
  }

  /**
   * Whether an edit started from revisions that are not those of the data: after a restore their
   * numbers are used again, so an edit that does not say what it saw is not taken any more.
   */
  private isOfAnotherLine({ generation }: Pick<Change, 'generation'>): boolean {
    const { id, isRenewed } = this.generation;
    return generation === undefined ? isRenewed : generation !== id;
  }

  /** What importing a file over a build would change; nothing is written. */
  preview(id: string, file: Uint8Array): Promise<ImportPreview> {
    return this.work.preview(this.store.read(id), file);
  }

  /** Imports a file over a build as one edit that can be undone. */
  async importOver(id: string, change: Change, file: Uint8Array): Promise<StoredBuild> {
    this.store.read(id);
    const { document, rows } = await this.work.readBuild(file);
    return this.changed(id, change, (current, run) =>
      this.replaced(
        run,
        current,
        change,
        {
          by: { kind: 'whole', text: document.text, isChecked: true },
          words: `Import ${document.name}`,
        },
        this.catalogue.unknownRows(rows),
      ),
    );
  }

  /** Imports a file as a new build. */
  async importNew(file: Uint8Array, author: string): Promise<StoredBuild> {
    const { document, rows } = await this.work.readBuild(file);
    return this.create({
      document,
      author,
      words: `Import ${document.name}`,
      rows: this.catalogue.unknownRows(rows),
    });
  }

  /** Keeps a new build and tells other windows. */
  create(input: Parameters<BuildStore['create']>[0]): StoredBuild {
    const created = this.store.create(input);
    this.live.tell({ type: 'builds' });
    return created;
  }

  /** The document of a revision, under another name where one is given. */
  documentAt(id: string, revision: number, name?: string): Promise<DocumentText> {
    return this.documents.turn((run) =>
      run<'documentAt'>({ kind: 'documentAt', source: this.store.sourceAt(id, revision), name }),
    );
  }

  /** A build as a file, with the catalogue items that it uses. */
  buildFile(build: StoredBuild): Promise<string> {
    return this.documents.turn((run) =>
      run<'buildFile'>({ kind: 'buildFile', build: build.asText }),
    );
  }

  /** Items of the catalogue that a document refers to. */
  referencesIn(text: string): Promise<readonly ItemRef[]> {
    return this.documents.turn((run) => run<'references'>({ kind: 'references', text }));
  }

  /** Keeps what an edit made as the next revision, with items that come with it. */
  private keep(
    current: StoredBuild,
    result: EditResult,
    change: Change,
    { kind, target }: RevisionKind,
    rows: readonly CatalogueRow[] = [],
  ): StoredBuild {
    if (result.kind !== 'made') {
      this.catalogue.installRows(rows);
      return current;
    }
    const { id } = current;
    const written = this.store.append({
      id,
      baseRevision: current.revision,
      document: result.document,
      revision: {
        kind,
        target,
        ...revisionOf(result),
        author: change.author,
        editId: change.editId,
      },
      rows,
    });
    if (!written) throw new Error(`"${id}" was changed outside of its turn`);
    const { author } = change;
    this.live.tell({ type: 'build', id, revision: written.revision, author, words: result.words });
    return written;
  }

  private async conflict(
    run: RunDocumentJob,
    current: StoredBuild,
    change: Change,
    command: string | null,
  ): Promise<ConflictRefused> {
    const { id, revision } = current;
    const isOfAnotherLine = this.isOfAnotherLine(change);
    const since = isOfAnotherLine
      ? { later: [], before: null, untold: 0 }
      : this.history.laterEdits(id, change.baseRevision, MOST_NAMED);
    const message = isOfAnotherLine ? DATA_REPLACED : OTHERS_CHANGED;
    const asked = {
      message,
      revision,
      generation: this.generation.id,
      baseRevision: change.baseRevision,
      command,
      ...since,
    };
    return new ConflictRefused(message, await run<'conflict'>({ kind: 'conflict', asked }));
  }
}

const revisionOf = ({ words, command, patch, inverse }: MadeEdit) => ({
  words,
  command,
  patch,
  inverse,
});

function nothingTo(direction: 'undo' | 'redo', migratedAt: number | undefined): RefusedRequest {
  const ends =
    direction === 'undo' && migratedAt !== undefined
      ? `: the format of builds changed at revision ${migratedAt}; go back to an earlier one in the history instead`
      : '';
  return new RefusedRequest(400, {
    code: 'bad-input',
    message: `there is nothing to ${direction}${ends}`,
  });
}
