import {
  itemIssues,
  type readDataTable,
  readGrid,
  readRows,
  rowCell,
  rowHeader,
} from '@brookrain/contract';
import {
  type CatalogueCategory,
  type CatalogueItem,
  type ItemField,
  type NumberFormat,
  type Reading,
  allItemFields,
  firstOf,
  itemRowsOf,
  itemTableOf,
  tableFields,
  tableRowsOf,
} from '@brookrain/core';
import type { FieldErrors } from 'react-hook-form';
import { EMPTY, textValue, typedField } from './fieldText.ts';
import { tableText } from './tableText.ts';

/** What a form starts from when there is no item yet. */
function emptyText(field: ItemField): string {
  if (field.type === 'yes-no') return 'no';
  if (field.type === 'choice' && !field.optional) return firstOf(field.choices);
  return '';
}

/** The form as it is typed. */
export interface ItemTexts {
  readonly id: string;
  /** what was typed, by field of the item */
  readonly fields: Record<string, string>;
  /** the data-sheet table */
  readonly sheet: string;
}

/** All that is typed but the id. */
export type BegunTexts = Omit<ItemTexts, 'id'>;

/** What is wrong, where the form shows it. */
export function errorsOf({
  id,
  table,
  form,
  ...fields
}: Record<string, string>): FieldErrors<ItemTexts> {
  const error = (message: string) => ({ type: 'check', message });
  return {
    ...(id === undefined ? {} : { id: error(id) }),
    ...(table === undefined ? {} : { sheet: error(table) }),
    ...(form === undefined ? {} : { root: { form: error(form) } }),
    fields: Object.fromEntries(
      Object.entries(fields).map(([key, message]) => [key, error(message)]),
    ),
  };
}

/** A list of pins as tabbed text, for the form; the header alone without any. */
function rowsText(category: CatalogueCategory, item: CatalogueItem | undefined): string {
  const list = itemRowsOf(category);
  if (!list) return '';
  const things = item
    ? (item as unknown as Record<string, readonly Record<string, unknown>[]>)[list.key]
    : [];
  return [
    list.fields.map((field) => rowHeader(field)),
    ...(things ?? []).map((thing) => list.fields.map((field) => rowCell(field, thing))),
  ]
    .map((cells) => cells.join('\t'))
    .join('\n');
}

/** The list of pins that stands in the text, and what is wrong with its cells. */
export function rowsIn(category: CatalogueCategory, text: string) {
  const list = itemRowsOf(category);
  const read = readGrid(text);
  if (!list || !read.ok) {
    const message = read.ok ? 'items of this kind have no list' : read.message;
    return { grid: [[]], rows: [], problems: [{ row: 0, column: 0, message }] };
  }
  return { grid: read.grid, ...readRows(list.fields, read.grid) };
}

/** What a form begins with: an item as it is typed, or what is usual without one. */
export function textsOf(
  category: CatalogueCategory,
  item: CatalogueItem | undefined,
  units: Reading,
): BegunTexts {
  const table = item ? tableRowsOf(item) : itemTableOf(category) ? [] : undefined;
  return {
    fields: Object.fromEntries(
      allItemFields(category).map((field) => [
        field.key,
        item ? typedField(item, field, units) : emptyText(field),
      ]),
    ),
    sheet: itemRowsOf(category)
      ? rowsText(category, item)
      : table
        ? tableText(category, table)
        : '',
  };
}

/** The item that the form describes, or what is wrong with it by field. */
export function assembled({
  category,
  texts: { id, fields: texts, sheet },
  table,
  numbers,
  before,
}: {
  category: CatalogueCategory;
  texts: ItemTexts;
  table: ReturnType<typeof readDataTable> | undefined;
  numbers: NumberFormat;
  /** what the form began with: the item that is changed */
  before: { readonly item: CatalogueItem; readonly texts: BegunTexts } | undefined;
}): { item: CatalogueItem | undefined; wrong: Record<string, string> } {
  const wrong: Record<string, string> = {};
  const item: Record<string, unknown> = { category, id: id.trim(), revision: 1 };
  if (id.trim() === '') wrong['id'] = EMPTY;
  for (const field of allItemFields(category)) {
    // What nobody touched stays as it was, to the last digit.
    if (before && texts[field.key] === before.texts.fields[field.key]) {
      const kept = (before.item as unknown as Readonly<Record<string, unknown>>)[field.key];
      if (kept !== undefined) item[field.key] = kept;
      continue;
    }
    const read = textValue(field, texts[field.key] ?? '', numbers);
    if (!read.ok) wrong[field.key] = read.message;
    else if (read.value !== undefined) item[field.key] = read.value;
  }
  const untouched = before && sheet === before.texts.sheet ? before.item : undefined;
  if (table && untouched) {
    Object.assign(item, tableFields(category, tableRowsOf(untouched)));
  } else if (table) {
    if (table.problems.length > 0) wrong['table'] = 'Mend the marked cells of the table first.';
    else Object.assign(item, tableFields(category, table.rows));
  }
  const list = itemRowsOf(category);
  if (list && untouched) {
    item[list.key] = (untouched as unknown as Readonly<Record<string, unknown>>)[list.key];
  } else if (list) {
    const read = rowsIn(category, sheet);
    if (read.problems.length > 0) wrong['table'] = 'Mend the marked cells of the table first.';
    else item[list.key] = read.rows;
  }
  if (Object.keys(wrong).length > 0) return { item: undefined, wrong };
  for (const issue of itemIssues(item, 'item')) {
    const [, key = 'form'] = issue.path.split('.');
    const known = key === 'id' || allItemFields(category).some((f) => f.key === key);
    wrong[known ? key : table ? 'table' : 'form'] ??= issue.message;
  }
  const sound = Object.keys(wrong).length === 0;
  return { item: sound ? (item as unknown as CatalogueItem) : undefined, wrong };
}
