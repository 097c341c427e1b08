import { type Issue, itemIssues, parseSafeJson, readItemsSheet } from '@brookrain/contract';
import { type CatalogueCategory, type CatalogueItem, migrateItem } from '@brookrain/core';
import { badInput } from '../errors.ts';

/** So many mistakes are told at once. */
const MOST_TOLD = 200;

/** Items that hold, each at its place; 400 with what is wrong. */
function holding(items: readonly unknown[]): readonly CatalogueItem[] {
  const issues: Issue[] = items.flatMap((item, i) => itemIssues(item, `items.${i}`));
  if (issues.length > 0) throw badInput(issues.slice(0, MOST_TOLD));
  return items as readonly CatalogueItem[];
}

/** The items of a CSV table of one category; 400 with row and column of what is wrong. */
export function itemsOfSheet(category: CatalogueCategory, text: string): readonly CatalogueItem[] {
  const sheet = readItemsSheet(category, text);
  if (sheet.problems.length > 0) {
    throw badInput(
      sheet.problems.slice(0, MOST_TOLD).map(({ row, column, message }) => ({
        path: `row ${row + 1}, column ${column + 1}`,
        message,
      })),
    );
  }
  return holding(sheet.items);
}

/** The items of a JSON list; 400 with the place of what is wrong. */
export function itemsOfJson(text: string): readonly CatalogueItem[] {
  const parsed = parseSafeJson(text);
  if (!parsed.ok) throw badInput(parsed.issues);
  const list = Array.isArray(parsed.value)
    ? parsed.value
    : (parsed.value as { items?: unknown } | null)?.items;
  if (!Array.isArray(list)) throw badInput([{ path: 'items', message: 'must be a list of items' }]);
  if (list.length === 0) throw badInput([{ path: 'items', message: 'there are no items here' }]);
  if (list.length > 2000) throw badInput([{ path: 'items', message: 'at most 2 000 items' }]);
  return holding(list.map(migrateItem));
}
