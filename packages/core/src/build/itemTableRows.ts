import type { CatalogueItem } from './catalogueItem.ts';

/** One row of a data-sheet table, SI values by column key. */
export type TableRow = Readonly<Record<string, number>>;

/** The data-sheet table of an item as rows; empty for items without one. */
export function tableRowsOf(item: CatalogueItem): TableRow[] {
  switch (item.category) {
    case 'pump':
      return item.curves.flatMap((curve) =>
        [...curve.points].reverse().map(({ flow, pressure, current }) => ({
          voltage: curve.voltage,
          pressure,
          flow,
          current,
        })),
      );
    case 'injector':
      return item.deadTimeVoltages.flatMap((voltage, v) =>
        item.deadTimePressures.map((pressure, p) => ({
          voltage,
          pressure,
          deadTime: item.deadTimes[v]![p]!,
        })),
      );
    case 'filter':
    case 'filter-regulator':
      return item.points.map(({ flow, pressureDrop }) => ({ flow, pressureDrop }));
    case 'fuse':
      return item.band.map(({ multiple, fastest, slowest }) => ({ multiple, fastest, slowest }));
    default:
      return [];
  }
}

const distinct = (values: readonly number[]): number[] =>
  [...new Set(values)].sort((a, b) => a - b);

/**
 * The fields of an item that hold its table, from rows in any order. Undefined when a dead-time
 * table has a hole (no row for some voltage and pressure).
 */
export function tableFields(
  category: CatalogueItem['category'],
  rows: readonly TableRow[],
): Readonly<Record<string, unknown>> | undefined {
  switch (category) {
    case 'pump':
      return {
        curves: distinct(rows.map((r) => r['voltage']!)).map((voltage) => ({
          voltage,
          points: rows
            .filter((r) => r['voltage'] === voltage)
            .map((r) => ({ flow: r['flow']!, pressure: r['pressure']!, current: r['current']! }))
            .sort((a, b) => a.flow - b.flow),
        })),
      };
    case 'injector': {
      const deadTimeVoltages = distinct(rows.map((r) => r['voltage']!));
      const deadTimePressures = distinct(rows.map((r) => r['pressure']!));
      const at = new Map(rows.map((r) => [`${r['voltage']}/${r['pressure']}`, r['deadTime']!]));
      const deadTimes = deadTimeVoltages.map((v) =>
        deadTimePressures.map((p) => at.get(`${v}/${p}`)),
      );
      if (deadTimes.some((row) => row.includes(undefined))) return undefined;
      return { deadTimeVoltages, deadTimePressures, deadTimes };
    }
    case 'filter':
    case 'filter-regulator':
      return {
        points: rows
          .map((r) => ({ flow: r['flow']!, pressureDrop: r['pressureDrop']! }))
          .sort((a, b) => a.flow - b.flow),
      };
    case 'fuse':
      return {
        band: rows
          .map((r) => ({
            multiple: r['multiple']!,
            fastest: r['fastest']!,
            slowest: r['slowest']!,
          }))
          .sort((a, b) => a.multiple - b.multiple),
      };
    default:
      return {};
  }
}
