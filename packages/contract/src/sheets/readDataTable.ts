import {
  type CatalogueCategory,
  type ItemTable,
  type TableColumn,
  type TableRow,
  type UnitKind,
  entryAt,
  findUnit,
  firstOf,
  itemTableOf,
  parseNumber,
  parseQuantity,
  tableFields,
} from '@brookrain/core';
import { type HeaderCell, headerUnit, readHeader, sameName } from './headerCell.ts';
import { type CellProblem, type SheetGrid, readGrid } from './sheetGrid.ts';

/** A data-sheet table as read: its cells, what is wrong with them, and the rows that hold. */
export interface DataTable {
  readonly grid: SheetGrid;
  readonly problems: readonly CellProblem[];
  /** what was made of gaps, in words */
  readonly notes: readonly string[];
  readonly rows: readonly TableRow[];
}

interface Reader {
  readonly grid: SheetGrid;
  readonly problem: (row: number, column: number, message: string) => void;
  readonly note: (text: string) => void;
}

/** A number of a cell in a unit; undefined when it is empty or wrong (then it is told). */
function cellValue(
  reader: Reader,
  row: number,
  column: number,
  kind: UnitKind,
  unit: string,
): number | undefined {
  const text = entryAt(reader.grid, row)[column] ?? '';
  if (text === '' || /^(-|–|—|n\/?a|\.\.\.)$/i.test(text)) return undefined;
  const parsed = parseQuantity({ text, kind, defaultUnit: unit, stated: true });
  if (!parsed.ok) {
    reader.problem(row, column, parsed.message);
    return undefined;
  }
  return parsed.quantity.value;
}

/** Fills gaps between known neighbours on a straight line over `at`; ends stay open. */
function fillGaps(at: readonly number[], values: readonly (number | undefined)[]) {
  const known = values.flatMap((value, i) => (value === undefined ? [] : [i]));
  let filled = 0;
  const complete = values.map((value, i) => {
    if (value !== undefined) return value;
    const below = known.filter((k) => k < i).at(-1);
    const above = known.find((k) => k > i);
    if (below === undefined || above === undefined) return undefined;
    filled += 1;
    const share = (entryAt(at, i) - entryAt(at, below)) / (entryAt(at, above) - entryAt(at, below));
    return entryAt(values, below) + share * (entryAt(values, above) - entryAt(values, below));
  });
  return { values: complete, filled };
}

/** One named column per field: voltage, pressure, flow, current in any order. */
function readLong(reader: Reader, table: ItemTable, headers: readonly HeaderCell[]): TableRow[] {
  const places = table.columns.map((column) => {
    const at = headers.findIndex(
      (h) => sameName(h.name, column.label) || sameName(h.name, column.key),
    );
    if (at < 0) reader.problem(0, 0, `there is no column "${column.label}"`);
    const unit = at < 0 ? undefined : headerUnit(entryAt(headers, at), column.kind, column.unit);
    if (unit && !unit.ok) reader.problem(0, at, unit.message);
    return { column, at, unit: unit?.ok ? unit.unit : undefined };
  });
  if (places.some((p) => p.at < 0 || p.unit === undefined)) return [];
  return reader.grid.slice(1).flatMap((_, i) => {
    const row: Record<string, number> = {};
    for (const { column, at, unit } of places) {
      const value = cellValue(reader, i + 1, at, column.kind, unit!);
      if (value === undefined) {
        if ((entryAt(reader.grid, i + 1)[at] ?? '') === '') {
          reader.problem(i + 1, at, `${column.label} is missing here`);
        }
        return [];
      }
      row[column.key] = value;
    }
    return [row];
  });
}

const volts = /(\d+(?:[.,]\d+)?)\s*V\b/i;

/** A pump sheet with pressure down the side and a flow and a current column per voltage. */
function readPumpSheet(reader: Reader, headers: readonly HeaderCell[]): TableRow[] {
  const pressureAt = headers.findIndex((h) => /^pressure/i.test(h.name));
  if (pressureAt < 0) {
    reader.problem(0, 0, 'there is no column "Pressure"');
    return [];
  }
  const pressureUnit = headerUnit(entryAt(headers, pressureAt), 'pressure', 'kPa');
  if (!pressureUnit.ok) reader.problem(0, pressureAt, pressureUnit.message);
  const columns = headers.flatMap((header, at) => {
    if (at === pressureAt) return [];
    const voltage = parseNumber(volts.exec(header.name)?.[1] ?? '');
    const kind = /^(flow|delivery)/i.test(header.name)
      ? ('volumeFlow' as const)
      : /^(current|amps?)/i.test(header.name)
        ? ('current' as const)
        : undefined;
    if (voltage === undefined || !kind) {
      reader.problem(0, at, 'write "Flow 12 V [L/h]" or "Current 12 V [A]"');
      return [];
    }
    const unit = headerUnit(header, kind, kind === 'current' ? 'A' : 'L/h');
    if (!unit.ok) {
      reader.problem(0, at, unit.message);
      return [];
    }
    return [{ at, voltage, kind, unit: unit.unit }];
  });
  if (!pressureUnit.ok) return [];
  const lines = reader.grid.slice(1).map((_, i) => i + 1);
  const pressures = lines.map((row) =>
    cellValue(reader, row, pressureAt, 'pressure', pressureUnit.unit),
  );
  lines.forEach((row, i) => {
    if (pressures[i] === undefined && (entryAt(reader.grid, row)[pressureAt] ?? '') === '') {
      reader.problem(row, pressureAt, 'the pressure of this row is missing');
    }
  });
  const voltages = [...new Set(columns.map((c) => c.voltage))].sort((a, b) => a - b);
  return voltages.flatMap((voltage) => {
    const flowAt = columns.find((c) => c.voltage === voltage && c.kind === 'volumeFlow');
    const currentAt = columns.find((c) => c.voltage === voltage && c.kind === 'current');
    if (!flowAt || !currentAt) {
      const has = (flowAt ?? currentAt)!;
      reader.problem(0, has.at, `${voltage} V needs both a flow and a current column`);
      return [];
    }
    // A row without a flow is not part of this curve; a current in between is filled.
    const used = lines.filter(
      (row, i) =>
        pressures[i] !== undefined &&
        cellValue(reader, row, flowAt.at, 'volumeFlow', flowAt.unit) !== undefined,
    );
    const flows = used.map((row) => cellValue(reader, row, flowAt.at, 'volumeFlow', flowAt.unit)!);
    const given = used.map((row) =>
      cellValue(reader, row, currentAt.at, 'current', currentAt.unit),
    );
    const { values: currents, filled } = fillGaps(flows, given);
    if (filled > 0) {
      reader.note(`${filled} current${filled > 1 ? 's' : ''} at ${voltage} V interpolated`);
    }
    const skipped = lines.length - used.length;
    if (skipped > 0)
      reader.note(`${voltage} V has no flow in ${skipped} row${skipped > 1 ? 's' : ''}`);
    return used.flatMap((row, i) => {
      const current = currents[i];
      if (current === undefined) {
        if (given[i] === undefined) {
          reader.problem(row, currentAt.at, 'a current at the end of a curve cannot be guessed');
        }
        return [];
      }
      return [{ voltage, pressure: entryAt(pressures, row - 1), flow: entryAt(flows, i), current }];
    });
  });
}

/** A dead-time sheet with voltage down the side and one column per pressure. */
function readDeadTimeSheet(reader: Reader, headers: readonly HeaderCell[]): TableRow[] {
  const pressures = headers.slice(1).map((header, i) => {
    const parsed = parseQuantity({
      text: `${header.name} ${header.unit ?? ''}`.trim(),
      kind: 'pressure',
      defaultUnit: 'kPa',
    });
    if (!parsed.ok) reader.problem(0, i + 1, 'write the pressure of this column, as 300 kPa');
    return parsed.ok ? parsed.quantity.value : undefined;
  });
  return reader.grid.slice(1).flatMap((_, i) => {
    const row = i + 1;
    const voltage = cellValue(reader, row, 0, 'voltage', 'V');
    if (voltage === undefined) {
      if (entryAt(reader.grid, row)[0] === '')
        reader.problem(row, 0, 'the voltage of this row is missing');
      return [];
    }
    const given = pressures.map((_p, c) => cellValue(reader, row, c + 1, 'time', 'ms'));
    const at = pressures.map((p) => p ?? 0);
    const { values, filled } = fillGaps(at, given);
    if (filled > 0)
      reader.note(`${filled} dead time${filled > 1 ? 's' : ''} in row ${row} interpolated`);
    return values.flatMap((deadTime, c): TableRow[] => {
      const pressure = pressures[c];
      if (pressure === undefined) return [];
      if (deadTime === undefined) {
        if (given[c] === undefined && entryAt(reader.grid, row)[c + 1] === '') {
          reader.problem(row, c + 1, 'a dead time at the edge cannot be guessed');
        }
        return [];
      }
      return [{ voltage, pressure, deadTime }];
    });
  });
}

const isNumberOf = (cell: HeaderCell, kind: UnitKind): boolean =>
  /^[\d.,]+$/.test(cell.name.replace(/\s*[A-Za-z]+$/, '')) &&
  (cell.unit === undefined || findUnit(kind, cell.unit) !== undefined);

/** Curves of one voltage that do not rise strictly in flow, told at their rows. */
function tellDoubleFlows(reader: Reader, rows: readonly TableRow[], column: TableColumn): void {
  const seen = new Set<string>();
  for (const row of rows) {
    const key = `${row['voltage']}/${row[column.key]}`;
    if (seen.has(key)) {
      reader.problem(0, 0, `two points of one curve have the same ${column.label.toLowerCase()}`);
      return;
    }
    seen.add(key);
  }
}

/**
 * Reads a table from a data sheet for a category: units in the header, decimal comma or point,
 * gaps. Either one column per field, or as printed: a pump sheet by pressure with columns per
 * voltage, an injector sheet of dead times by voltage with columns per pressure.
 */
export function readDataTable(category: CatalogueCategory, text: string): DataTable {
  const table = itemTableOf(category);
  const read = readGrid(text);
  if (!table || !read.ok) {
    const message = read.ok ? 'items of this kind have no table' : read.message;
    return { grid: [[]], problems: [{ row: 0, column: 0, message }], notes: [], rows: [] };
  }
  const { grid } = read;
  const problems: CellProblem[] = [];
  const notes: string[] = [];
  const reader: Reader = {
    grid,
    problem: (row, column, message) => {
      if (!problems.some((p) => p.row === row && p.column === column)) {
        problems.push({ row, column, message });
      }
    },
    note: (note) => void notes.push(note),
  };
  const headers = firstOf(grid).map(readHeader);
  if (grid.length < 2) reader.problem(0, 0, 'there are no rows under the header');
  const rows =
    category === 'pump' && headers.some((h) => volts.test(h.name))
      ? readPumpSheet(reader, headers)
      : category === 'injector' && headers.slice(1).some((h) => isNumberOf(h, 'pressure'))
        ? readDeadTimeSheet(reader, headers)
        : readLong(reader, table, headers);
  if (category === 'pump') tellDoubleFlows(reader, rows, entryAt(table.columns, 2));
  if (problems.length === 0 && tableFields(category, rows) === undefined) {
    reader.problem(0, 0, 'every voltage needs a dead time at every pressure');
  }
  return { grid, problems, notes, rows };
}
