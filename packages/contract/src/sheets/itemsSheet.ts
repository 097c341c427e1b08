import {
  type CatalogueCategory,
  type CatalogueItem,
  type ItemField,
  type TableColumn,
  type TableRow,
  allItemFields,
  entryAt,
  valueUnder,
  firstOf,
  itemRowsOf,
  itemTableOf,
  parseNumber,
  parseQuantity,
  tableFields,
  tableRowsOf,
} from '@brookrain/core';
import { itemIssues } from '../itemIssues.ts';
import { headerUnit, readHeader, sameName } from './headerCell.ts';
import { readRow, rowCell, rowHeader, rowPlaces } from './itemRows.ts';
import { writtenFigure } from './writtenFigure.ts';
import {
  type CellProblem,
  type SheetGrid,
  plainCell,
  quotedCell,
  readGrid,
  writeGrid,
} from './sheetGrid.ts';

/** Items read from a table: nothing may be kept while a problem stands. */
export interface ItemsSheet {
  readonly grid: SheetGrid;
  readonly problems: readonly CellProblem[];
  readonly items: readonly CatalogueItem[];
}

const titled = (key: string, unit: string): string => (unit === '' ? key : `${key} [${unit}]`);

function cellOf(field: ItemField, value: unknown): string {
  if (value === undefined) return '';
  if (field.type === 'figure') return writtenFigure(value as number, field.kind, field.unit);
  if (field.type === 'yes-no') return value === true ? 'yes' : 'no';
  return quotedCell(String(value));
}

/**
 * The items of a category as CSV: one line each, and further lines with the same id for the rows
 * of its data-sheet table. Units stand in the header.
 */
export function writeItemsSheet(
  category: CatalogueCategory,
  items: readonly CatalogueItem[],
): string {
  const fields = allItemFields(category);
  const columns = itemTableOf(category)?.columns ?? [];
  const list = itemRowsOf(category);
  const header = [
    'id',
    ...fields.map((f) => titled(f.key, f.type === 'figure' ? f.unit : '')),
    ...columns.map((c) => titled(`table.${c.key}`, c.unit)),
    ...(list?.fields ?? []).map((field) => rowHeader(field, `${list?.key}.`)),
  ];
  const lines = items.flatMap((item) => {
    const rows = tableRowsOf(item);
    const tableCells = (row: TableRow | undefined): string[] =>
      columns.map((c) => (row ? writtenFigure(valueUnder(row, c.key), c.kind, c.unit) : ''));
    const record = item as unknown as Record<string, unknown>;
    const things = list ? (record[list.key] as readonly Record<string, unknown>[]) : [];
    const thingCells = (thing: Record<string, unknown> | undefined): string[] =>
      (list?.fields ?? []).map((field) => (thing ? rowCell(field, thing) : ''));
    const id = quotedCell(item.id);
    const lines = Math.max(1, rows.length, things.length);
    return Array.from({ length: lines }, (_, i) => [
      id,
      ...fields.map((f) => (i === 0 ? cellOf(f, record[f.key]) : '')),
      ...tableCells(rows[i]),
      ...thingCells(things[i]),
    ]);
  });
  return writeGrid([header, ...lines]);
}

type Told = (row: number, column: number, message: string) => void;

function readField(
  field: ItemField,
  cell: string,
  unit: string,
): { value?: unknown; wrong?: string } {
  switch (field.type) {
    case 'figure': {
      const parsed = parseQuantity({
        text: cell,
        kind: field.kind,
        defaultUnit: unit,
        stated: true,
      });
      return parsed.ok ? { value: parsed.quantity.value } : { wrong: parsed.message };
    }
    case 'whole': {
      const value = parseNumber(cell);
      return value !== undefined && Number.isInteger(value)
        ? { value }
        : { wrong: 'write a whole number' };
    }
    case 'yes-no':
      if (/^(yes|y|true|1)$/i.test(cell)) return { value: true };
      if (/^(no|n|false|0)$/i.test(cell)) return { value: false };
      return { wrong: 'write yes or no' };
    case 'choice': {
      const choice = field.choices.find((c) => sameName(c, cell));
      return choice ? { value: choice } : { wrong: `write one of ${field.choices.join(', ')}` };
    }
    case 'text':
      return { value: cell };
  }
}

/** Whether a field has to be said: others may stay empty, and a column without any may be left out. */
const isNeeded = (field: ItemField): boolean =>
  !(field.type === 'choice' && field.optional) && !('whenEmpty' in field);

/** Where a field stands in the header, with its unit. */
interface Place {
  readonly at: number;
  readonly unit: string;
}

function placesOf(category: CatalogueCategory, grid: SheetGrid, told: Told) {
  const headers = firstOf(grid).map(readHeader);
  const find = (
    names: readonly string[],
    measured?: { kind: TableColumn['kind']; unit: string },
  ) => {
    const at = headers.findIndex((h) => names.some((name) => sameName(h.name, name)));
    if (at < 0) return undefined;
    const unit = measured
      ? headerUnit(entryAt(headers, at), measured.kind, measured.unit)
      : undefined;
    if (unit && !unit.ok) told(0, at, unit.message);
    return { at, unit: unit?.ok ? unit.unit : '' };
  };
  const id = find(['id']);
  const fields = new Map<string, Place>();
  for (const field of allItemFields(category)) {
    const place = find([field.key, field.label], field.type === 'figure' ? field : undefined);
    if (place) fields.set(field.key, place);
    else if (isNeeded(field)) {
      told(0, 0, `there is no column "${field.key}" (${field.label})`);
    }
  }
  const columns = new Map<string, Place>();
  for (const column of itemTableOf(category)?.columns ?? []) {
    const place = find([`table.${column.key}`], column);
    if (place) columns.set(column.key, place);
    else told(0, 0, `there is no column "table.${column.key}" (${column.label})`);
  }
  const list = itemRowsOf(category);
  const rows = list
    ? rowPlaces(list.fields, firstOf(grid), `${list.key}.`, (at, message) => told(0, at, message))
    : [];
  if (!id) told(0, 0, 'there is no column "id"');
  return { id, fields, columns, rows };
}

/** The column a path of an item's own check points at. */
function columnOf(path: string, places: ReturnType<typeof placesOf>): number {
  const [field] = path.split('.');
  const known = places.fields.get(field ?? '');
  if (known) return known.at;
  return Math.min(...[...places.columns.values()].map((p) => p.at), places.id?.at ?? 0) || 0;
}

/**
 * Reads items of one category from CSV as `writeItemsSheet` writes it, columns in any order and
 * units as the header says. Each mistake is told at its cell; revisions are given when kept.
 */
export function readItemsSheet(category: CatalogueCategory, text: string): ItemsSheet {
  const read = readGrid(text);
  if (!read.ok) {
    return { grid: [[]], problems: [{ row: 0, column: 0, message: read.message }], items: [] };
  }
  const { grid } = read;
  const problems: CellProblem[] = [];
  const told: Told = (row, column, message) => void problems.push({ row, column, message });
  const places = placesOf(category, grid, told);
  if (problems.length > 0 || !places.id) return { grid, problems, items: [] };
  const columns = itemTableOf(category)?.columns ?? [];
  const items: CatalogueItem[] = [];
  const starts: { row: number; id: string }[] = [];
  const seen = new Set<string>();
  for (let row = 1; row < grid.length; row++) {
    const id = plainCell(entryAt(entryAt(grid, row), places.id.at));
    if (id === '' && starts.length > 0) continue;
    if (id === '') told(row, places.id.at, 'an item needs an id');
    else if (starts.at(-1)?.id !== id) {
      if (seen.has(id)) told(row, places.id.at, `"${id}" is in this table twice`);
      seen.add(id);
      starts.push({ row, id });
    }
  }
  starts.forEach(({ row: first, id }, n) => {
    const last = (starts[n + 1]?.row ?? grid.length) - 1;
    const before = problems.length;
    const item: Record<string, unknown> = { category, id, revision: 1 };
    for (const field of allItemFields(category)) {
      const place = places.fields.get(field.key);
      const cell = place ? plainCell(entryAt(entryAt(grid, first), place.at)) : '';
      if (cell === '') {
        if (!isNeeded(field)) {
          if ('whenEmpty' in field) item[field.key] = field.whenEmpty;
          continue;
        }
        told(first, place?.at ?? 0, `${field.label} is missing`);
        continue;
      }
      const { value, wrong } = readField(field, cell, place!.unit);
      if (wrong) told(first, place!.at, wrong);
      else item[field.key] = value;
    }
    const rows: TableRow[] = [];
    for (let row = first; columns.length > 0 && row <= last; row++) {
      const cells = columns.map((c) => entryAt(entryAt(grid, row), places.columns.get(c.key)!.at));
      if (cells.every((cell) => cell === '')) continue;
      const entry: Record<string, number> = {};
      columns.forEach((column, c) => {
        const { at, unit } = places.columns.get(column.key)!;
        const parsed = parseQuantity({
          text: entryAt(cells, c),
          kind: column.kind,
          defaultUnit: unit,
          stated: true,
        });
        if (!parsed.ok) {
          told(row, at, cells[c] === '' ? `${column.label} is missing here` : parsed.message);
        } else entry[column.key] = parsed.quantity.value;
      });
      rows.push(entry);
    }
    const list = itemRowsOf(category);
    if (list) {
      const things = Array.from({ length: last - first + 1 }, (_, i) => first + i).flatMap(
        (row) =>
          readRow(list.fields, places.rows, entryAt(grid, row), (at, message) =>
            told(row, at, message),
          ) ?? [],
      );
      item[list.key] = things;
    }
    if (problems.length > before) return;
    const table = tableFields(category, rows);
    if (!table) {
      told(first, columnOf('table', places), 'every voltage needs a dead time at every pressure');
      return;
    }
    Object.assign(item, table);
    const wrong = itemIssues(item, 'item');
    for (const issue of wrong) {
      told(first, columnOf(issue.path.replace(/^item\./, ''), places), issue.message);
    }
    if (wrong.length === 0) items.push(item as unknown as CatalogueItem);
  });
  if (starts.length === 0) told(0, 0, 'there are no items under the header');
  return { grid, problems, items };
}
