import { demoBuilds, startBuild } from '@brookrain/core';
import type {
  BuildReply,
  BuildSummary,
  CopyMessage,
  RevisionDocumentReply,
  StartMessage,
  StartReply,
} from '@brookrain/contract';
import { Inject, Injectable } from '@nestjs/common';
import { CatalogueStore } from '../catalogue/catalogueStore.ts';
import { notFound } from '../errors.ts';
import { LiveEvents } from '../live/liveEvents.ts';
import { NOBODY } from '../requests.ts';
import { BuildEditor } from './buildEditor.ts';
import { BuildStore } from './buildStore.ts';

/** Makes builds out of answers, of other builds and of the shipped ones. */
@Injectable()
export class BuildStarter {
  constructor(
    @Inject(BuildStore) private readonly store: BuildStore,
    @Inject(BuildEditor) private readonly editor: BuildEditor,
    @Inject(CatalogueStore) private readonly catalogue: CatalogueStore,
    @Inject(LiveEvents) private readonly live: LiveEvents,
  ) {}

  start(message: StartMessage): StartReply {
    const { document, proposed } = startBuild(message, this.catalogue.all());
    const build = this.editor.create({
      document,
      author: message.author ?? NOBODY,
      words: 'Guided start',
      items: [],
    });
    return { build, proposed };
  }

  revision(id: string, number: number): RevisionDocumentReply {
    const document = this.store.documentAt(id, number);
    if (!document) throw notFound(`there is no revision ${number}`);
    return { number, document };
  }

  copy(id: string, message: CopyMessage): BuildReply {
    const from = this.store.read(id);
    const number = message.revision ?? from.revision;
    const { document } = this.revision(id, number);
    return this.editor.create({
      document: { ...document, name: message.name },
      author: message.author ?? NOBODY,
      words: `Copy of ${from.document.name}, revision ${number}`,
      items: [],
    });
  }

  archive(id: string, archived: boolean): BuildReply {
    this.store.archive(id, archived);
    this.live.tell({ type: 'builds' });
    return this.store.read(id);
  }

  /**
   * Puts the shipped builds back as they were shipped: as one edit that can be undone where they
   * are, anew where they are not. Own builds are not touched.
   */
  resetDemos(author: string): BuildSummary[] {
    for (const { id, document } of demoBuilds) {
      if (!this.store.has(id)) {
        this.editor.create({ id, document, author, words: 'Demo build', items: [], demo: true });
        continue;
      }
      const { revision } = this.store.read(id);
      this.store.archive(id, false);
      const words = 'Reset the demo build';
      this.editor.replace(id, { baseRevision: revision, author, words }, document);
    }
    this.live.tell({ type: 'builds' });
    return this.store.list();
  }
}
