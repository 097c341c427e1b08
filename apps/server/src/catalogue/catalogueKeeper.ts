import { type CatalogueCategory, type CatalogueItem, newestOf } from '@brookrain/core';
import {
  type ImportItemsReply,
  type Issue,
  type KeptItemReply,
  type WhereUsedReply,
  itemIssues,
  parseSafeJson,
  readItemsSheet,
  sameItem,
  structureIssue,
} from '@brookrain/contract';
import { migrateItem, referencesOf } from '@brookrain/core';
import { Inject, Injectable } from '@nestjs/common';
import { BuildStore } from '../builds/buildStore.ts';
import { badInput, notFound } from '../errors.ts';
import { LiveEvents } from '../live/liveEvents.ts';
import { CatalogueStore } from './catalogueStore.ts';

/** Adds items and new revisions to the catalogue; what is there is never changed. */
@Injectable()
export class CatalogueKeeper {
  constructor(
    @Inject(CatalogueStore) private readonly catalogue: CatalogueStore,
    @Inject(BuildStore) private readonly builds: BuildStore,
    @Inject(LiveEvents) private readonly live: LiveEvents,
  ) {}

  /** Keeps one item as the next revision of its id; 400 with the place of each mistake. */
  keep(item: unknown): KeptItemReply {
    const structure = structureIssue(item);
    if (structure) throw badInput([{ ...structure, path: `item.${structure.path}` }]);
    const [kept] = this.keepAll([{ ...(item as object), revision: 1 }], () => 'item');
    return kept!;
  }

  /** Keeps every item of a CSV table of one category, or none when a cell is wrong. */
  importSheet(category: CatalogueCategory, text: string): ImportItemsReply {
    const sheet = readItemsSheet(category, text);
    if (sheet.problems.length > 0) {
      throw badInput(
        sheet.problems.slice(0, 200).map(({ row, column, message }) => ({
          path: `row ${row + 1}, column ${column + 1}`,
          message,
        })),
      );
    }
    return this.importReply(this.keepAll(sheet.items, (i) => `items.${i}`));
  }

  /** Keeps every item of a JSON list, or none. */
  importJson(text: string): ImportItemsReply {
    const parsed = parseSafeJson(text);
    if (!parsed.ok) throw badInput(parsed.issues);
    const list = Array.isArray(parsed.value)
      ? parsed.value
      : (parsed.value as { items?: unknown } | null)?.items;
    if (!Array.isArray(list))
      throw badInput([{ path: 'items', message: 'must be a list of items' }]);
    if (list.length === 0) throw badInput([{ path: 'items', message: 'there are no items here' }]);
    if (list.length > 2000) throw badInput([{ path: 'items', message: 'at most 2 000 items' }]);
    return this.importReply(this.keepAll(list.map(migrateItem), (i) => `items.${i}`));
  }

  private importReply(kept: readonly KeptItemReply[]): ImportItemsReply {
    const fresh = kept.filter((k) => k.isNew).map((k) => k.item);
    return { kept: fresh, unchanged: kept.length - fresh.length };
  }

  private keepAll(items: readonly unknown[], pathOf: (index: number) => string): KeptItemReply[] {
    const issues: Issue[] = items.flatMap((item, i) => itemIssues(item, pathOf(i)));
    if (issues.length > 0) throw badInput(issues.slice(0, 200));
    const fresh: CatalogueItem[] = [];
    const replies = (items as readonly CatalogueItem[]).map((item, i): KeptItemReply => {
      const known = [...this.catalogue.all().items, ...fresh].filter((k) => k.id === item.id);
      const other = known.find((k) => k.category !== item.category);
      if (other) {
        const message = `"${item.id}" is already the id of a ${other.category}`;
        throw badInput([{ path: `${pathOf(i)}.id`, message }]);
      }
      const newest = known.reduce<CatalogueItem | undefined>(
        (best, k) => (!best || k.revision > best.revision ? k : best),
        undefined,
      );
      if (newest && sameItem(newest, item)) return { item: newest, isNew: false };
      const kept = { ...item, revision: (newest?.revision ?? 0) + 1 };
      fresh.push(kept);
      return { item: kept, isNew: true };
    });
    this.catalogue.install(fresh);
    if (fresh.length > 0) this.live.tell({ type: 'catalogue' });
    return replies;
  }

  /** Builds that use an item, each with the revision it uses. */
  whereUsed(id: string): WhereUsedReply {
    if (!this.catalogue.all().items.some((item) => item.id === id)) {
      throw notFound(`there is no item "${id.slice(0, 60)}"`);
    }
    return {
      uses: this.builds.documents().flatMap((build) =>
        referencesOf(build.document)
          .filter((ref) => ref.id === id)
          .map(({ revision }) => ({
            buildId: build.id,
            name: build.name,
            revision,
            archived: build.archived,
          })),
      ),
    };
  }

  newest(category: CatalogueCategory): CatalogueItem[] {
    return newestOf(this.catalogue.all(), category);
  }
}
