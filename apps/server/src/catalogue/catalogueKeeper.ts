import {
  type ImportItemsReply,
  type KeptItemReply,
  type WhereUsedReply,
  itemIssues,
  sameItem,
  structureIssue,
} from '@brookrain/contract';
import { type CatalogueCategory, type CatalogueItem, newestOf } from '@brookrain/core';
import { Inject, Injectable } from '@nestjs/common';
import { BuildEditor } from '../builds/buildEditor.ts';
import { BuildStore } from '../builds/buildStore.ts';
import { badInput, notFound } from '../errors.ts';
import { LiveEvents } from '../live/liveEvents.ts';
import { WorkQueue } from '../work/workQueue.ts';
import { CatalogueStore } from './catalogueStore.ts';

/** Adds items and new revisions to the catalogue; what is there is never changed. */
@Injectable()
export class CatalogueKeeper {
  constructor(
    @Inject(CatalogueStore) private readonly catalogue: CatalogueStore,
    @Inject(BuildStore) private readonly builds: BuildStore,
    @Inject(BuildEditor) private readonly editor: BuildEditor,
    @Inject(LiveEvents) private readonly live: LiveEvents,
    @Inject(WorkQueue) private readonly work: WorkQueue,
  ) {}

  /** Keeps one item as the next revision of its id; 400 with the place of each mistake. */
  keep(sent: unknown): KeptItemReply {
    const structure = structureIssue(sent);
    if (structure) throw badInput([{ ...structure, path: `item.${structure.path}` }]);
    const item = { ...(sent as object), revision: 1 };
    const issues = itemIssues(item, 'item');
    if (issues.length > 0) throw badInput(issues);
    const [kept] = this.keepAll([item as CatalogueItem], () => 'item');
    return kept!;
  }

  /** Keeps every item of a CSV table of one category, or none when a cell is wrong. */
  async importSheet(category: CatalogueCategory, file: Uint8Array): Promise<ImportItemsReply> {
    return this.importReply(await this.work.readSheet(category, file));
  }

  /** Keeps every item of a JSON list, or none. */
  async importJson(file: Uint8Array): Promise<ImportItemsReply> {
    return this.importReply(await this.work.readItems(file));
  }

  private importReply(items: readonly CatalogueItem[]): ImportItemsReply {
    const kept = this.keepAll(items, (i) => `items.${i}`);
    const fresh = kept.filter((k) => k.isNew).map((k) => k.item);
    return { kept: fresh, unchanged: kept.length - fresh.length };
  }

  private keepAll(
    items: readonly CatalogueItem[],
    pathOf: (index: number) => string,
  ): KeptItemReply[] {
    /** newest revision of each id, with those that are kept now */
    const newest = new Map<string, CatalogueItem>();
    for (const item of this.catalogue.all().items) {
      if ((newest.get(item.id)?.revision ?? 0) < item.revision) newest.set(item.id, item);
    }
    const fresh: CatalogueItem[] = [];
    const replies = items.map((item, i): KeptItemReply => {
      const known = newest.get(item.id);
      if (known && known.category !== item.category) {
        const message = `"${item.id}" is already the id of a ${known.category}`;
        throw badInput([{ path: `${pathOf(i)}.id`, message }]);
      }
      if (known && sameItem(known, item)) return { item: known, isNew: false };
      const kept = { ...item, revision: (known?.revision ?? 0) + 1 };
      fresh.push(kept);
      newest.set(kept.id, kept);
      return { item: kept, isNew: true };
    });
    this.catalogue.install(fresh);
    if (fresh.length > 0) this.live.tell({ type: 'catalogue' });
    return replies;
  }

  /** Builds that use an item, each with the revision it uses. */
  async whereUsed(id: string): Promise<WhereUsedReply> {
    if (!this.catalogue.all().items.some((item) => item.id === id)) {
      throw notFound(`there is no item "${id.slice(0, 60)}"`);
    }
    const builds = await this.builds.references((text) => this.editor.referencesIn(text));
    return {
      uses: builds.flatMap(({ id: buildId, name, archived, items }) =>
        items
          .filter((ref) => ref.id === id)
          .map(({ revision }) => ({ buildId, name, revision, archived })),
      ),
    };
  }

  newest(category: CatalogueCategory): readonly CatalogueItem[] {
    return newestOf(this.catalogue.all(), category);
  }
}
