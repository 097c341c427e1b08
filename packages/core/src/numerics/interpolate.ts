/** Index of the cell of rising `axis` that holds `at`, clamped to the first or last cell. */
function cellOf(axis: readonly number[], at: number): number {
  let i = 0;
  while (i < axis.length - 2 && at > axis[i + 1]!) i++;
  return i;
}

/** Straight-line interpolation through (x, y); held constant beyond the ends. */
export function interpolateClamped(x: readonly number[], y: readonly number[], at: number): number {
  if (at <= x[0]!) return y[0]!;
  const last = x.length - 1;
  if (at >= x[last]!) return y[last]!;
  const i = cellOf(x, at);
  const t = (at - x[i]!) / (x[i + 1]! - x[i]!);
  return y[i]! + t * (y[i + 1]! - y[i]!);
}

/**
 * Bilinear interpolation of `table[row][column]`; beyond the table it goes on linearly and
 * `outside` is true. A single row or column is taken as constant in that direction.
 */
export function bilinear(input: {
  rows: readonly number[];
  columns: readonly number[];
  table: readonly (readonly number[])[];
  row: number;
  column: number;
}): { value: number; outside: boolean } {
  const { rows, columns, table, row, column } = input;
  const along = (values: readonly number[]): number => {
    if (columns.length === 1) return values[0]!;
    const j = cellOf(columns, column);
    const t = (column - columns[j]!) / (columns[j + 1]! - columns[j]!);
    return values[j]! + t * (values[j + 1]! - values[j]!);
  };
  const outside =
    (rows.length > 1 && (row < rows[0]! || row > rows[rows.length - 1]!)) ||
    (columns.length > 1 && (column < columns[0]! || column > columns[columns.length - 1]!));
  if (rows.length === 1) return { value: along(table[0]!), outside };
  const i = cellOf(rows, row);
  const t = (row - rows[i]!) / (rows[i + 1]! - rows[i]!);
  const low = along(table[i]!);
  return { value: low + t * (along(table[i + 1]!) - low), outside };
}
