import {
  type BuildCommand,
  type BuildDocument,
  type CatalogueItem,
  type Patch,
  applyCommand,
  applyPatch,
  describeCommand,
  diffDocuments,
  invertPatch,
} from '@brookrain/core';
import {
  type BuildReply,
  type ConflictReply,
  type ImportPreview,
  commandIssues,
  documentIssues,
  readBuildFile,
} from '@brookrain/contract';
import { Inject, Injectable } from '@nestjs/common';
import { CatalogueStore } from '../catalogue/catalogueStore.ts';
import { RefusedRequest, badInput, notFound } from '../errors.ts';
import { LiveEvents } from '../live/liveEvents.ts';
import { BuildStore, type NewRevision } from './buildStore.ts';

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
    @Inject(CatalogueStore) private readonly catalogue: CatalogueStore,
    @Inject(LiveEvents) private readonly live: LiveEvents,
  ) {}

  /** Runs a command on the revision it started from. 400 when refused, 409 when stale. */
  edit(id: string, change: Change, command: unknown): BuildReply {
    const issues = commandIssues(command);
    if (issues.length > 0) throw badInput(issues);
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
    if (command.name === 'replace-document') {
      const wrong = documentIssues(command.document, catalogue);
      if (wrong.length > 0) throw badInput(wrong);
    }
    const applied = applyCommand(current.document, command);
    if (applied.patch.length === 0 && items.length === 0) return current;
    this.refuseWrong(applied.document, catalogue);
    return this.append(current, applied.document, items, {
      kind: 'edit',
      target: null,
      author: change.author,
      words: change.words ?? describeCommand(command),
      command,
      patch: applied.patch,
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
    const target = this.store.nextStep(id, direction);
    if (target === undefined) {
      throw new RefusedRequest(400, {
        code: 'bad-input',
        message: `there is nothing to ${direction}`,
      });
    }
    const revision = this.store.revision(id, target);
    const forward = JSON.parse(revision.patch) as Patch;
    const patch = direction === 'undo' ? invertPatch(forward) : forward;
    const document = applyPatch(current.document, patch);
    this.refuseWrong(document, this.catalogue.all());
    return this.append(current, document, [], {
      kind: direction,
      target,
      author: change.author,
      words: `${direction === 'undo' ? 'Undo' : 'Redo'}: ${revision.words}`,
      command: null,
      patch,
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
    return change.editId !== undefined && this.store.knows(id, change.editId);
  }

  /** What importing a file over a build would change; nothing is written. */
  preview(id: string, text: string): ImportPreview {
    const current = this.store.read(id);
    const read = this.readFile(text);
    return {
      name: read.document.name,
      newItems: read.newItems.map((item) => `${item.designation} (${item.id})`),
      changes: diffDocuments(current.document, read.document),
    };
  }

  /** Imports a file over a build as one edit that can be undone. */
  importOver(id: string, change: Change, text: string): BuildReply {
    const current = this.store.read(id);
    const read = this.readFile(text);
    const command: BuildCommand = { name: 'replace-document', document: read.document };
    if (current.revision !== change.baseRevision) {
      throw this.conflict(current, change.baseRevision, command);
    }
    return this.commit(current, command, change, read.newItems);
  }

  /** Imports a file as a new build. */
  importNew(text: string, author: string): BuildReply {
    const read = this.readFile(text);
    return this.create({
      document: read.document,
      author,
      words: `Import ${read.document.name}`,
      items: read.newItems,
    });
  }

  /** Keeps a new build and tells other windows. */
  create(input: Parameters<BuildStore['create']>[0]): BuildReply {
    this.refuseWrong(input.document, { items: [...input.items, ...this.catalogue.all().items] });
    const created = this.store.create(input);
    this.live.tell({ type: 'builds' });
    return created;
  }

  private readFile(text: string): { document: BuildDocument; newItems: CatalogueItem[] } {
    const read = readBuildFile(text, this.catalogue.all());
    if (!read.ok) throw badInput(read.issues);
    return { document: read.document, newItems: this.catalogue.missing(read.items) };
  }

  private refuseWrong(document: BuildDocument, catalogue: { items: readonly CatalogueItem[] }) {
    const issues = documentIssues(document, catalogue);
    if (issues.length > 0) throw badInput(issues);
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
      current,
      base: {
        revision: baseRevision,
        document: this.store.documentAt(current.id, baseRevision),
      },
      command,
      since: this.store.since(current.id, baseRevision).map((r) => ({
        words: r.words,
        author: r.author,
        patch: JSON.parse(r.patch) as Patch,
      })),
    };
    return new RefusedRequest(409, reply);
  }
}
