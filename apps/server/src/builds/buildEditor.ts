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
import { RefusedRequest, badInput } from '../errors.ts';
import { BuildStore, type NewRevision } from './buildStore.ts';

/** Checks edits, applies them and keeps them as revisions. */
@Injectable()
export class BuildEditor {
  constructor(
    @Inject(BuildStore) private readonly store: BuildStore,
    @Inject(CatalogueStore) private readonly catalogue: CatalogueStore,
  ) {}

  /** Runs a command on the revision it started from. 400 when refused, 409 when stale. */
  edit(id: string, baseRevision: number, command: unknown, author: string): BuildReply {
    const issues = commandIssues(command);
    if (issues.length > 0) throw badInput(issues);
    const current = this.store.read(id);
    const known = command as BuildCommand;
    if (current.revision !== baseRevision) {
      throw this.conflict(current, baseRevision, known);
    }
    return this.commit(current, known, author, []);
  }

  private commit(
    current: BuildReply,
    command: BuildCommand,
    author: string,
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
      author,
      words: describeCommand(command),
      command,
      patch: applied.patch,
    });
  }

  /** Takes back the newest edit, or puts back the newest one taken back. */
  step(id: string, baseRevision: number, direction: 'undo' | 'redo', author: string): BuildReply {
    const current = this.store.read(id);
    if (current.revision !== baseRevision) throw this.conflict(current, baseRevision, null);
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
      author,
      words: `${direction === 'undo' ? 'Undo' : 'Redo'}: ${revision.words}`,
      command: null,
      patch,
    });
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
  importOver(id: string, baseRevision: number, text: string, author: string): BuildReply {
    const current = this.store.read(id);
    const read = this.readFile(text);
    const command: BuildCommand = { name: 'replace-document', document: read.document };
    if (current.revision !== baseRevision) throw this.conflict(current, baseRevision, command);
    return this.commit(current, command, author, read.newItems);
  }

  /** Imports a file as a new build. */
  importNew(text: string, author: string): BuildReply {
    const read = this.readFile(text);
    return this.store.create({
      document: read.document,
      author,
      words: `Import ${read.document.name}`,
      items: read.newItems,
    });
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
