import {
  type BuildCommand,
  type BuildDocument,
  type CatalogueItem,
  type DocumentDifference,
  type Patch,
  applyCommand,
  applyPatch,
  editInWords,
  diffDocuments,
} from '@brookrain/core';
import {
  type BuildReply,
  type ConflictReply,
  type ImportPreview,
  type Issue,
  commandIssues,
  documentIssues,
  editIssues,
} from '@brookrain/contract';
import { Inject, Injectable } from '@nestjs/common';
import { CatalogueStore } from '../catalogue/catalogueStore.ts';
import { RefusedRequest, badInput, notFound } from '../errors.ts';
import { LiveEvents } from '../live/liveEvents.ts';
import { WorkQueue } from '../work/workQueue.ts';
import { BuildHistory } from './buildHistory.ts';
import { BuildStore, type NewRevision } from './buildStore.ts';

/** Refuses a request for what is wrong with it. */
function refuse(issues: readonly Issue[]): void {
  if (issues.length > 0) throw badInput(issues);
}

/** A stale edit is told of so many later edits, and of each so many places. */
const MOST_TOLD = 10;
const MOST_CHANGES = 20;
/** Longest text, and largest value as JSON, that is told whole. */
const LONGEST_TOLD = 400;

/** A value as far as it takes to say in few words what it is. */
function told(value: unknown): unknown {
  if (typeof value === 'string') return value.slice(0, LONGEST_TOLD);
  if (typeof value !== 'object' || value === null) return value;
  if (JSON.stringify(value).length <= LONGEST_TOLD) return value;
  return Array.isArray(value) ? Array<null>(Math.min(value.length, LONGEST_TOLD)).fill(null) : {};
}

const inShort = ({ path, before, after }: DocumentDifference): DocumentDifference => ({
  path,
  before: told(before),
  after: told(after),
});

/** Who changes a build, from which revision, and how the history calls it. */
export interface Change {
  readonly baseRevision: number;
  readonly author: string;
  readonly editId?: string | undefined;
  readonly words?: string;
}

/** Checks edits, applies them and keeps them as revisions. */
@Injectable()
export class BuildEditor {
  constructor(
    @Inject(BuildStore) private readonly store: BuildStore,
    @Inject(BuildHistory) private readonly history: BuildHistory,
    @Inject(CatalogueStore) private readonly catalogue: CatalogueStore,
    @Inject(LiveEvents) private readonly live: LiveEvents,
    @Inject(WorkQueue) private readonly work: WorkQueue,
  ) {}

  /** Runs a command on the revision it started from. 400 when refused, 409 when stale. */
  edit(id: string, change: Change, command: unknown): BuildReply {
    const issues = commandIssues(command);
    refuse(issues);
    const current = this.store.read(id);
    if (this.isDone(id, change)) return current;
    const known = command as BuildCommand;
    if (current.revision !== change.baseRevision) {
      throw this.conflict(current, change.baseRevision, known);
    }
    return this.commit(current, known, change, []);
  }

  private commit(
    current: BuildReply,
    command: BuildCommand,
    change: Change,
    items: readonly CatalogueItem[],
  ): BuildReply {
    const catalogue = { items: [...items, ...this.catalogue.all().items] };
    const applied = applyCommand(current.document, command);
    if (applied.patch.length === 0 && items.length === 0) return current;
    refuse(editIssues(applied.document, applied.patch, catalogue));
    return this.append(current, applied.document, items, {
      kind: 'edit',
      target: null,
      author: change.author,
      words: change.words ?? editInWords(current.document, command),
      command,
      patch: applied.patch,
      inverse: applied.inverse,
      editId: change.editId,
    });
  }

  /** Takes back the newest edit, or puts back the newest one taken back. */
  step(id: string, change: Change, direction: 'undo' | 'redo'): BuildReply {
    const current = this.store.read(id);
    if (this.isDone(id, change)) return current;
    if (current.revision !== change.baseRevision) {
      throw this.conflict(current, change.baseRevision, null);
    }
    const next = this.history.nextSteps(id);
    const target = next[direction];
    if (!target) {
      const ends =
        direction === 'undo' && next.migratedAt !== undefined
          ? `: the format of builds changed at revision ${next.migratedAt}; go back to an earlier one in the history instead`
          : '';
      throw new RefusedRequest(400, {
        code: 'bad-input',
        message: `there is nothing to ${direction}${ends}`,
      });
    }
    const revision = this.history.row(id, target.number);
    const forward = JSON.parse(revision.patch) as Patch;
    const backward = JSON.parse(revision.inverse ?? '[]') as Patch;
    const [patch, inverse] = direction === 'undo' ? [backward, forward] : [forward, backward];
    const document = applyPatch(current.document, patch);
    refuse(editIssues(document, patch, this.catalogue.all()));
    return this.append(current, document, [], {
      kind: direction,
      target: target.number,
      author: change.author,
      words: `${direction === 'undo' ? 'Undo' : 'Redo'}: ${revision.words}`,
      command: null,
      patch,
      inverse,
      editId: change.editId,
    });
  }

  /** Makes a build what it was at an earlier revision; one edit that can be undone. */
  goBack(id: string, change: Change, revision: number): BuildReply {
    const document = this.store.documentAt(id, revision);
    if (!document) throw notFound(`there is no revision ${revision}`);
    const words = change.words ?? `Go back to revision ${revision}`;
    return this.replace(id, { ...change, words }, document);
  }

  /** Puts a whole document in the place of a build's; one edit that can be undone. */
  replace(id: string, change: Change, document: BuildDocument): BuildReply {
    return this.edit(id, change, { name: 'replace-document', document });
  }

  private isDone(id: string, change: Change): boolean {
    return change.editId !== undefined && this.history.knows(id, change.editId);
  }

  /** What importing a file over a build would change; nothing is written. */
  async preview(id: string, text: string): Promise<ImportPreview> {
    this.store.read(id);
    const read = await this.readFile(text);
    const current = this.store.read(id);
    return {
      name: read.document.name,
      newItems: read.newItems.map((item) => `${item.designation} (${item.id})`),
      changes: diffDocuments(current.document, read.document),
    };
  }

  /** Imports a file over a build as one edit that can be undone. */
  async importOver(id: string, change: Change, text: string): Promise<BuildReply> {
    this.store.read(id);
    const read = await this.readFile(text);
    const current = this.store.read(id);
    const command: BuildCommand = { name: 'replace-document', document: read.document };
    if (current.revision !== change.baseRevision) {
      throw this.conflict(current, change.baseRevision, command);
    }
    return this.commit(current, command, change, read.newItems);
  }

  /** Imports a file as a new build. */
  async importNew(text: string, author: string): Promise<BuildReply> {
    const read = await this.readFile(text);
    return this.create({
      document: read.document,
      author,
      words: `Import ${read.document.name}`,
      items: read.newItems,
    });
  }

  /** Keeps a new build and tells other windows. */
  create(input: Parameters<BuildStore['create']>[0]): BuildReply {
    const catalogue = { items: [...input.items, ...this.catalogue.all().items] };
    refuse(documentIssues(input.document, catalogue));
    const created = this.store.create(input);
    this.live.tell({ type: 'builds' });
    return created;
  }

  private async readFile(
    text: string,
  ): Promise<{ document: BuildDocument; newItems: CatalogueItem[] }> {
    const read = await this.work.readBuild(text);
    if (!read.ok) throw badInput(read.issues);
    return { document: read.document, newItems: this.catalogue.missing(read.items) };
  }

  private append(
    current: BuildReply,
    document: BuildDocument,
    items: readonly CatalogueItem[],
    revision: NewRevision,
  ): BuildReply {
    const written = this.store.append({
      id: current.id,
      baseRevision: current.revision,
      document,
      revision,
      items,
    });
    if (!written) {
      throw this.conflict(this.store.read(current.id), current.revision, revision.command);
    }
    const { id, revision: number } = written;
    const { author, words } = revision;
    this.live.tell({ type: 'build', id, revision: number, author, words });
    return written;
  }

  private conflict(
    current: BuildReply,
    baseRevision: number,
    command: BuildCommand | null,
  ): RefusedRequest {
    const reply: ConflictReply = {
      code: 'conflict',
      message: 'someone else changed this build meanwhile; your edit was not made',
      revision: current.revision,
      baseRevision,
      command,
      ...this.changesSince(current.id, baseRevision),
    };
    return new RefusedRequest(409, reply);
  }

  /** What the last few later revisions changed, by place, and how many come before them. */
  private changesSince(id: string, baseRevision: number): Pick<ConflictReply, 'since' | 'untold'> {
    const later = this.history.namesSince(id, baseRevision);
    const newest = later.slice(-MOST_TOLD);
    let before = this.store.documentAt(id, (newest[0]?.number ?? 1) - 1);
    const since = newest.map(({ number, words, author }) => {
      const after = this.store.documentAt(id, number);
      const changes = before && after ? diffDocuments(before, after) : [];
      before = after;
      return { words, author, changes: changes.slice(0, MOST_CHANGES).map(inShort) };
    });
    return { since, untold: later.length - newest.length };
  }
}
