import { type Catalogue, type CatalogueItem, migrateItem, tellsMore } from '@brookrain/core';
import { and, eq, sql } from 'drizzle-orm';
import { Inject, Injectable } from '@nestjs/common';
import type { Database } from '../storage/database.ts';
import { DATABASE } from '../storage/token.ts';
import { catalogueItems } from '../storage/schema.ts';
import { LastWritten } from '../storage/lastWritten.ts';
import { type CatalogueRow, catalogueRow } from './catalogueRow.ts';

/** Items that are written by one statement. */
const AT_ONCE = 200;

const revisionKey = ({ id, revision }: Pick<CatalogueItem, 'id' | 'revision'>): string =>
  `${id}@${revision}`;

/** Immutable catalogue revisions, held in memory once read. */
@Injectable()
export class CatalogueStore {
  private known: Catalogue | undefined;
  /** every item that was read, by id, revision and hash: an item that did not change stays itself */
  private readonly read = new Map<string, CatalogueItem>();

  private readonly itemRow;

  constructor(
    @Inject(DATABASE) private readonly database: Database,
    @Inject(LastWritten) private readonly last: LastWritten,
  ) {
    this.itemRow = database
      .select({ item: catalogueItems.item })
      .from(catalogueItems)
      .where(
        and(
          eq(catalogueItems.id, sql.placeholder('id')),
          eq(catalogueItems.revision, sql.placeholder('revision')),
        ),
      )
      .prepare();
  }

  /** All items; the same object until one is added. */
  all(): Catalogue {
    this.known ??= {
      items: this.database
        .select({
          id: catalogueItems.id,
          revision: catalogueItems.revision,
          hash: catalogueItems.hash,
        })
        .from(catalogueItems)
        .orderBy(catalogueItems.category, catalogueItems.id, catalogueItems.revision)
        .all()
        .map((row) => this.itemOf(row.id, row.revision, row.hash)),
    };
    return this.known;
  }

  private itemOf(id: string, revision: number, hash: string): CatalogueItem {
    const key = `${revisionKey({ id, revision })} ${hash}`;
    const known = this.read.get(key);
    if (known) return known;
    const row = this.itemRow.get({ id, revision });
    const item = migrateItem(JSON.parse(row!.item)) as CatalogueItem;
    this.read.set(key, item);
    return item;
  }

  private byRevision(): ReadonlyMap<string, CatalogueItem> {
    return new Map(this.all().items.map((item) => [revisionKey(item), item]));
  }

  /** Items of a list whose revision is not in the catalogue, whatever it says of those that are. */
  unknown(items: readonly CatalogueItem[]): CatalogueItem[] {
    const known = this.byRevision();
    return items.filter((item) => !known.has(revisionKey(item)));
  }

  /** Rows of a list whose revision is not in the catalogue: another file may have brought it meanwhile. */
  unknownRows(rows: readonly CatalogueRow[]): CatalogueRow[] {
    const known = this.byRevision();
    return rows.filter((row) => !known.has(revisionKey(row)));
  }

  /** Takes over what is told of parts that were kept before it was asked for. */
  complete(items: readonly CatalogueItem[]): void {
    const revisions = this.byRevision();
    const told = items.filter((item) => {
      const known = revisions.get(revisionKey(item));
      return known && tellsMore(item, known);
    });
    if (told.length === 0) return;
    this.database.transaction(
      (transaction) => {
        for (const item of told) {
          transaction
            .update(catalogueItems)
            .set({ item: JSON.stringify(item), hash: catalogueRow(item).hash })
            .where(and(eq(catalogueItems.id, item.id), eq(catalogueItems.revision, item.revision)))
            .run();
        }
      },
      { behavior: 'immediate' },
    );
    this.known = undefined;
    this.read.clear();
  }

  /** Adds items that are new; call inside the transaction that needs them. */
  add(database: Pick<Database, 'insert'>, rows: readonly CatalogueRow[]): void {
    for (let first = 0; first < rows.length; first += AT_ONCE) {
      database
        .insert(catalogueItems)
        .values(rows.slice(first, first + AT_ONCE))
        .run();
    }
    if (rows.length > 0) this.known = undefined;
  }

  /** Adds items on their own, all or none. */
  install(items: readonly CatalogueItem[]): void {
    this.installRows(items.map(catalogueRow));
  }

  /** Adds rows on their own, all or none. */
  installRows(rows: readonly CatalogueRow[]): void {
    if (rows.length === 0) return;
    this.database.transaction((transaction) => this.add(transaction, rows), {
      behavior: 'immediate',
    });
    this.last.add({ items: rows.length });
  }
}
