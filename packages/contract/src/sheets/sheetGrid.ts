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

/** Letters that a cell may have. */
const LONGEST_CELL = 2000;

/** What a table has too much of, looked at letter by letter before anything splits it. */
function tooMuch(text: string, delimiter: string): string | undefined {
  let [rows, columns, letters] = [1, 1, 0];
  let quoted = false;
  for (let i = 0; i < text.length; i++) {
    const letter = text[i];
    if (letter === '"') quoted = !quoted;
    if (!quoted && letter === delimiter) {
      columns += 1;
      letters = 0;
    } else if (!quoted && letter === '\n') {
      rows += 1;
      [columns, letters] = [1, 0];
    } else letters += 1;
    if (letters > LONGEST_CELL) return `at most ${LONGEST_CELL} letters in a cell (row ${rows})`;
    if (columns > MOST_COLUMNS) return `at most ${MOST_COLUMNS} columns`;
    if (rows > 2 * MOST_ROWS) return `at most ${MOST_ROWS} rows`;
  }
  return undefined;
}

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
  const delimiter = delimiterOf(bare);
  const much = tooMuch(bare, delimiter);
  if (much !== undefined) return { ok: false, message: much };
  const { data } = Papa.parse<string[]>(bare, {
    delimiter,
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
  return Papa.unparse(grid as string[][], { newline: '\r\n', escapeFormulae: FORMULA });
}

/** Characters that a spreadsheet may pass over: blanks, controls, zero-width and direction characters. */
const UNSEEN =
  '[\\s\\u0000-\\u001f\\u007f-\\u00a0\\u00ad\\u061c\\u180e\\u200b-\\u200f\\u202a-\\u202e\\u2060-\\u206f\\ufeff]*';
/** Signs that begin a formula, in their full-width forms, too. */
const SIGN = '[=+\\-@\\uff1d\\uff0b\\uff0d\\uff20]';
const formula = (before: string): RegExp => new RegExp(`^${before}(?:${UNSEEN}${SIGN}|[\\t\\r])`);

/** What a spreadsheet may take for a formula: a sign, also behind what is not seen, a tab or a return. */
export const FORMULA = formula('');
const QUOTED_FORMULA = formula("'+");

/** A cell of our own export: takes back the apostrophe that was put before a formula sign. */
export const plainCell = (cell: string): string =>
  QUOTED_FORMULA.test(cell) ? cell.slice(1) : cell;

/** A text that begins with an apostrophe and a sign gets one more, so that it reads back. */
export const quotedCell = (cell: string): string => (QUOTED_FORMULA.test(cell) ? `'${cell}` : cell);
