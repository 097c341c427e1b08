import { demoBuilds, startBuild } from '@brookrain/core';
import type { BuildSummary, CopyMessage, StartMessage } from '@brookrain/contract';
import { Inject, Injectable } from '@nestjs/common';
import { CatalogueStore } from '../catalogue/catalogueStore.ts';
import { documentText } from '../documents/documentText.ts';
import { newDocument } from '../documents/readFiles.ts';
import { LiveEvents } from '../live/liveEvents.ts';
import { NOBODY } from '../requests.ts';
import { BuildEditor } from './buildEditor.ts';
import { BuildStore } from './buildStore.ts';
import { type StoredBuild, buildReplyJson } from './storedBuild.ts';

/** Makes builds out of answers, of other builds and of the shipped ones. */
@Injectable()
export class BuildStarter {
  constructor(
    @Inject(BuildStore) private readonly store: BuildStore,
    @Inject(BuildEditor) private readonly editor: BuildEditor,
    @Inject(CatalogueStore) private readonly catalogue: CatalogueStore,
    @Inject(LiveEvents) private readonly live: LiveEvents,
  ) {}

  /** Starts a build from answers; the reply as JSON. */
  start(message: StartMessage): string {
    const catalogue = this.catalogue.all();
    const { document, proposed } = startBuild(message, catalogue);
    const build = this.editor.create({
      document: newDocument(document, catalogue),
      author: message.author ?? NOBODY,
      words: 'Guided start',
    });
    return `{"build":${buildReplyJson(build)},"proposed":${JSON.stringify(proposed)}}`;
  }

  /** The document of a revision; the reply as JSON. */
  async revision(id: string, number: number): Promise<string> {
    const { text } = await this.editor.documentAt(id, number);
    return `{"number":${number},"document":${text}}`;
  }

  async copy(id: string, message: CopyMessage): Promise<StoredBuild> {
    const from = this.store.read(id);
    const number = message.revision ?? from.revision;
    return this.editor.create({
      document: await this.editor.documentAt(id, number, message.name),
      author: message.author ?? NOBODY,
      words: `Copy of ${from.name}, revision ${number}`,
    });
  }

  archive(id: string, archived: boolean): StoredBuild {
    this.store.archive(id, archived);
    this.live.tell({ type: 'builds' });
    return this.store.read(id);
  }

  /**
   * Puts the shipped builds back as they were shipped: as one edit that can be undone where they
   * are, anew where they are not. Own builds are not touched.
   */
  async resetDemos(author: string): Promise<BuildSummary[]> {
    for (const { id, document } of demoBuilds) {
      if (!this.store.has(id)) {
        const text = documentText(document);
        this.editor.create({ id, document: text, author, words: 'Demo build', demo: true });
        continue;
      }
      this.store.archive(id, false);
      await this.editor.replace(id, author, { document, words: 'Reset the demo build' });
    }
    this.live.tell({ type: 'builds' });
    return this.store.list();
  }
}
