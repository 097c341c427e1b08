import {
  columnVisibilityFeature,
  createSortedRowModel,
  rowSortingFeature,
  tableFeatures,
  useTable,
} from '@tanstack/react-table';
import { useVirtualizer } from '@tanstack/react-virtual';
import { type KeyboardEvent, type ReactNode, useEffect, useMemo, useRef } from 'react';
import { ColumnChooser } from './ColumnChooser.tsx';

/** A column: what it sorts by, and what stands in its cells. */
export interface DataColumn<Row> {
  readonly key: string;
  readonly label: string;
  readonly cell: (row: Row) => ReactNode;
  /** numbers sort as numbers, texts as people read them; left out: the column does not sort */
  readonly sortBy?: (row: Row) => number | string | undefined;
  /** text stands left, figures right */
  readonly text?: boolean;
  /** whether it shows before anyone chooses; a fixed one always does */
  readonly shown?: boolean | 'always';
  /** left out where it has no room, as on a phone */
  readonly wideOnly?: boolean;
}

type Props<Row> = {
  label: string;
  rows: readonly Row[];
  columns: readonly DataColumn<Row>[];
  keyOf: (row: Row) => string;
  /** the row that is looked at closely, where one can be: its first cell is a button */
  selected?: string | undefined;
  onSelect?: (key: string) => void;
  /** called when the last row comes into sight: there may be more to fetch */
  onEnd?: (() => void) | undefined;
};

/** From so many rows on only those in sight are drawn. */
const VIRTUAL_FROM = 60;
const ROW_HEIGHT = 33;
/** Height of a long table, in the window's own measure. */
const WINDOW = '68vh';

const features = tableFeatures({
  rowSortingFeature,
  columnVisibilityFeature,
  sortedRowModel: createSortedRowModel(),
});

const compare = new Intl.Collator(undefined, { numeric: true }).compare;

/** Order of two sort values; what has none comes last. */
export function orderOf(a: number | string | undefined, b: number | string | undefined): number {
  if (a === undefined || b === undefined) return Number(a === undefined) - Number(b === undefined);
  return typeof a === 'number' && typeof b === 'number' ? a - b : compare(String(a), String(b));
}

/** Arrows move along the heads of the rows; Home and End to the ends. */
function walkRows(event: KeyboardEvent<HTMLElement>): void {
  const links = [...event.currentTarget.querySelectorAll<HTMLElement>('tbody [data-row-head] > *')];
  const at = links.findIndex((link) => link === document.activeElement);
  if (at < 0) return;
  const to = { ArrowDown: at + 1, ArrowUp: at - 1, Home: 0, End: links.length - 1 }[event.key];
  const next = to === undefined ? undefined : links[to];
  if (!next) return;
  event.preventDefault();
  next.focus();
}

/** A table that is sorted by its heads, shows the columns that are chosen, and may be long. */
export function DataTable<Row extends object>(props: Props<Row>) {
  const { label, rows, columns, keyOf, selected, onSelect, onEnd } = props;
  const definitions = useMemo(
    () =>
      columns.map((column) => ({
        id: column.key,
        header: column.label,
        accessorFn: (row: Row) => column.sortBy?.(row),
        enableSorting: column.sortBy !== undefined,
        enableHiding: column.shown !== 'always',
        sortDescFirst: false,
        sortFn: (
          a: { getValue: (id: string) => unknown },
          b: { getValue: (id: string) => unknown },
          id: string,
        ) => orderOf(a.getValue(id) as string, b.getValue(id) as string),
      })),
    [columns],
  );
  const table = useTable({
    features,
    columns: definitions,
    data: rows as Row[],
    getRowId: keyOf,
    initialState: {
      columnVisibility: Object.fromEntries(columns.map((c) => [c.key, c.shown !== false])),
    },
  });
  const byKey = new Map(columns.map((column) => [column.key, column]));
  const sorted = table.getRowModel().rows;
  const shown = table.getVisibleLeafColumns();
  const long = sorted.length >= VIRTUAL_FROM;
  const box = useRef<HTMLDivElement>(null);
  const virtual = useVirtualizer({
    count: sorted.length,
    getScrollElement: () => box.current,
    estimateSize: () => ROW_HEIGHT,
    overscan: 12,
    enabled: long,
  });
  const items = virtual.getVirtualItems();
  const first = long ? (items[0]?.index ?? 0) : 0;
  const drawn = long ? sorted.slice(first, first + items.length) : sorted;
  const above = long ? (items[0]?.start ?? 0) : 0;
  const below = long ? virtual.getTotalSize() - (items.at(-1)?.end ?? 0) : 0;
  const atEnd = sorted.length > 0 && first + drawn.length >= sorted.length;
  useEffect(() => {
    if (atEnd) onEnd?.();
  }, [atEnd, onEnd, sorted.length]);
  const hideable = table.getAllLeafColumns().filter((column) => column.getCanHide());
  return (
    <div>
      {hideable.length > 0 && (
        <ColumnChooser
          columns={hideable.map((column) => ({
            key: column.id,
            label: byKey.get(column.id)?.label ?? column.id,
            shown: column.getIsVisible(),
            show: (visible) => column.toggleVisibility(visible),
          }))}
        />
      )}
      <div ref={box} className="overflow-auto" style={long ? { maxHeight: WINDOW } : undefined}>
        <table
          className="table-lined w-full"
          aria-label={label}
          aria-rowcount={sorted.length + 1}
          onKeyDown={walkRows}
        >
          <thead className={long ? 'sticky top-0 z-10 bg-paper' : undefined}>
            <tr>
              {shown.map((column) => {
                const way = column.getIsSorted();
                const own = byKey.get(column.id);
                return (
                  <th
                    key={column.id}
                    className={`${own?.text ? 'text-left!' : ''} ${own?.wideOnly ? 'max-[700px]:hidden' : ''}`}
                    aria-sort={way ? (way === 'desc' ? 'descending' : 'ascending') : undefined}
                  >
                    {column.getCanSort() ? (
                      <button
                        type="button"
                        className="underline decoration-hair underline-offset-2"
                        onClick={() => column.toggleSorting(way === 'asc')}
                      >
                        {own?.label}
                        {way ? (way === 'desc' ? ' ↓' : ' ↑') : ''}
                      </button>
                    ) : (
                      own?.label
                    )}
                  </th>
                );
              })}
            </tr>
          </thead>
          <tbody>
            {above > 0 && (
              <tr aria-hidden="true">
                <td colSpan={shown.length} style={{ height: above, padding: 0, border: 0 }} />
              </tr>
            )}
            {drawn.map((row, i) => (
              <tr
                key={row.id}
                ref={long ? virtual.measureElement : undefined}
                data-index={first + i}
                className={`hover:bg-panel ${row.id === selected ? 'bg-panel' : ''}`}
                aria-rowindex={first + i + 2}
                onClick={onSelect && (() => onSelect(row.id))}
              >
                {shown.map((column, place) => {
                  const own = byKey.get(column.id);
                  const content = own?.cell(row.original);
                  return (
                    <td
                      key={column.id}
                      data-row-head={place === 0 || undefined}
                      className={`whitespace-nowrap ${own?.text ? 'text-left! whitespace-normal!' : ''} ${own?.wideOnly ? 'max-[700px]:hidden' : ''} ${place === 0 && row.id === selected ? 'font-medium' : ''}`}
                    >
                      {place === 0 && onSelect ? (
                        <button
                          type="button"
                          aria-current={row.id === selected}
                          className="text-left underline decoration-hair underline-offset-2"
                          onFocus={() => onSelect(row.id)}
                        >
                          {content}
                        </button>
                      ) : (
                        content
                      )}
                    </td>
                  );
                })}
              </tr>
            ))}
            {below > 0 && (
              <tr aria-hidden="true">
                <td colSpan={shown.length} style={{ height: below, padding: 0, border: 0 }} />
              </tr>
            )}
          </tbody>
        </table>
      </div>
    </div>
  );
}
