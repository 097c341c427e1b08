import { type RowField, entryAt, parseNumber, parseQuantity } from '@brookrain/core';
import { headerUnit, readHeader, sameName } from './headerCell.ts';
import { writtenFigure } from './writtenFigure.ts';
import { type CellProblem, type SheetGrid, plainCell, quotedCell } from './sheetGrid.ts';

/** Between several choices in one cell. */
const AND = '+';

type Row = Readonly<Record<string, unknown>>;

/** What a column is called in the header of a sheet. */
export const rowHeader = (field: RowField, prefix = ''): string => {
  const unit = field.type === 'figure' ? field.unit : '';
  return unit === '' ? `${prefix}${field.key}` : `${prefix}${field.key} [${unit}]`;
};

/** A cell of a row. */
export function rowCell(field: RowField, row: Row): string {
  const value = row[field.key];
  if (value === undefined || value === null) return '';
  if (field.type === 'figure') return writtenFigure(value as number, field.kind, field.unit);
  if (field.type === 'choices') return (value as readonly string[]).join(` ${AND} `);
  if (field.type === 'yes-no') return value === true ? 'yes' : 'no';
  return field.type === 'whole' ? `${value as number}` : quotedCell(value as string);
}

/** What an empty cell stands for; undefined where the cell has to be filled. */
function whenEmpty(field: RowField): unknown {
  switch (field.type) {
    case 'figure':
      return field.min <= 0 ? 0 : undefined;
    case 'text':
      return field.min === 0 ? '' : undefined;
    case 'choice':
      return field.choices.includes('none') ? 'none' : undefined;
    case 'whole':
    case 'yes-no':
    case 'choices':
      return undefined;
  }
}

type Read = { readonly value: unknown } | { readonly wrong: string };

function choiceIn(choices: readonly string[], cell: string): Read {
  const value = choices.find((choice) => sameName(choice, cell));
  return value === undefined ? { wrong: `write one of ${choices.join(', ')}` } : { value };
}

function readCell(field: RowField, cell: string, unit: string): Read {
  switch (field.type) {
    case 'figure': {
      const { kind } = field;
      const parsed = parseQuantity({ text: cell, kind, defaultUnit: unit, stated: true });
      return parsed.ok ? { value: parsed.quantity.value } : { wrong: parsed.message };
    }
    case 'whole': {
      const value = parseNumber(cell);
      return value !== undefined && Number.isInteger(value)
        ? { value }
        : { wrong: 'write a whole number' };
    }
    case 'yes-no':
      return choiceIn(['yes', 'no'], cell);
    case 'text':
      return { value: cell };
    case 'choice':
      return choiceIn(field.choices, cell);
    case 'choices': {
      const read = cell.split(AND).map((each) => choiceIn(field.choices, each.trim()));
      const wrong = read.find((each) => 'wrong' in each);
      return wrong ?? { value: read.map((each) => ('value' in each ? each.value : '')) };
    }
  }
}

/** Where each column stands in the header of a sheet, and in which unit. */
export interface RowPlace {
  readonly field: RowField;
  readonly at: number;
  readonly unit: string;
}

/** Finds the columns of a list in a header; those that have to be there and are not are told. */
export function rowPlaces(
  fields: readonly RowField[],
  header: readonly string[],
  prefix: string,
  told: (column: number, message: string) => void,
): RowPlace[] {
  const cells = header.map(readHeader);
  return fields.flatMap((field): RowPlace[] => {
    const names = [`${prefix}${field.key}`, ...(prefix === '' ? [field.label] : [])];
    const at = cells.findIndex(({ name }) => names.some((each) => sameName(each, name)));
    if (at < 0) {
      if (whenEmpty(field) === undefined) told(0, `there is no column "${names[0] ?? ''}"`);
      return [];
    }
    if (field.type !== 'figure') return [{ field, at, unit: '' }];
    const unit = headerUnit(entryAt(cells, at), field.kind, field.unit);
    if (!unit.ok) told(at, unit.message);
    return [{ field, at, unit: unit.ok ? unit.unit : field.unit }];
  });
}

/** One row of a list from a line of a sheet; undefined where all its cells are empty. */
export function readRow(
  fields: readonly RowField[],
  places: readonly RowPlace[],
  line: readonly string[],
  told: (column: number, message: string) => void,
): Row | undefined {
  const cells = new Map(places.map(({ field, at }) => [field.key, plainCell(line[at] ?? '')]));
  if ([...cells.values()].every((cell) => cell === '')) return undefined;
  return Object.fromEntries(
    fields.map((field) => {
      const place = places.find((each) => each.field.key === field.key);
      const cell = cells.get(field.key) ?? '';
      if (cell === '') {
        const usual = whenEmpty(field);
        if (usual === undefined) told(place?.at ?? 0, `${field.label} is missing here`);
        return [field.key, usual];
      }
      const read = readCell(field, cell, place?.unit ?? '');
      if ('wrong' in read) told(place?.at ?? 0, read.wrong);
      return [field.key, 'value' in read ? read.value : undefined];
    }),
  );
}

/** A list of things read from a table by itself: header, then one line each. */
export function readRows(
  fields: readonly RowField[],
  grid: SheetGrid,
): { readonly rows: readonly Row[]; readonly problems: readonly CellProblem[] } {
  const problems: CellProblem[] = [];
  const [header = [], ...lines] = grid;
  const places = rowPlaces(fields, header, '', (column, message) =>
    problems.push({ row: 0, column, message }),
  );
  if (lines.length === 0) {
    problems.push({ row: 0, column: 0, message: 'there are no rows under the header' });
  }
  const rows = lines.flatMap((line, i): Row[] => {
    const row = readRow(fields, places, line, (column, message) =>
      problems.push({ row: i + 1, column, message }),
    );
    return row ? [row] : [];
  });
  return { rows, problems };
}
