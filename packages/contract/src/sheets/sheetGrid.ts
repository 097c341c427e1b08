import Papa from 'papaparse';

/** A pasted or opened table as text cells; row 0 is the header. */
export type SheetGrid = readonly (readonly string[])[];

/** What is wrong with one cell; row 0 is the header. */
export interface CellProblem {
  readonly row: number;
  readonly column: number;
  readonly message: string;
}

export const MOST_ROWS = 5000;
export const MOST_COLUMNS = 120;

const NOTHING = 'there is nothing in this table';

/** Delimiter by the header line: tab, then semicolon, then comma. */
function delimiterOf(text: string): string {
  const header = text.split(/\r?\n/, 1)[0] ?? '';
  return ['\t', ';'].find((mark) => header.includes(mark)) ?? ',';
}

/**
 * Splits a table into cells: tab, semicolon or comma between them, quotes as usual. Empty lines
 * are left out and short rows filled up. Refuses tables beyond 5 000 rows or 120 columns.
 */
export function readGrid(
  text: string,
):
  | { readonly ok: true; readonly grid: SheetGrid }
  | { readonly ok: false; readonly message: string } {
  const bare = text.replace(/^\uFEFF/, '').replace(/^(?:[ \t]*\r?\n)+/, '');
  if (bare.trim() === '') return { ok: false, message: NOTHING };
  const { data } = Papa.parse<string[]>(bare, {
    delimiter: delimiterOf(bare),
    skipEmptyLines: 'greedy',
  });
  if (data.length === 0) return { ok: false, message: NOTHING };
  if (data.length > MOST_ROWS) return { ok: false, message: `at most ${MOST_ROWS} rows` };
  const width = Math.max(...data.map((row) => row.length));
  if (width > MOST_COLUMNS) return { ok: false, message: `at most ${MOST_COLUMNS} columns` };
  const grid = data.map((row) =>
    Array.from({ length: width }, (_, i) => (row[i] ?? '').replaceAll('\u00a0', ' ').trim()),
  );
  return { ok: true, grid };
}

/** Cells as text with commas; text that a spreadsheet would run as a formula is made plain. */
export function writeGrid(grid: SheetGrid): string {
  return Papa.unparse(grid as string[][], { newline: '\r\n', escapeFormulae: true });
}

/** A cell of our own export: takes back the apostrophe that was put before a formula sign. */
export const plainCell = (cell: string): string =>
  /^''*[=+\-@\t\r]/.test(cell) ? cell.slice(1) : cell;

/** A text that begins with an apostrophe and a sign gets one more, so that it reads back. */
export const quotedCell = (cell: string): string =>
  /^'+[=+\-@\t\r]/.test(cell) ? `'${cell}` : cell;
