import { type CatalogueCategory, type CatalogueItem } from './catalogueItem.ts';
import { itemTableOf } from './itemFields.ts';
import type { TableRow } from './kinds/catalogueKind.ts';

/** The data-sheet table of an item as rows; empty for items without one. */
export const tableRowsOf = (item: CatalogueItem): TableRow[] =>
  itemTableOf(item.category)?.rowsOf(item as never) ?? [];

/**
 * The fields of an item that hold its table, from rows in any order. Undefined when a dead-time
 * table has a hole (no row for some voltage and pressure).
 */
export const tableFields = (
  category: CatalogueCategory,
  rows: readonly TableRow[],
): Readonly<Record<string, unknown>> | undefined => {
  const table = itemTableOf(category);
  return table ? table.fieldsOf(rows) : {};
};
