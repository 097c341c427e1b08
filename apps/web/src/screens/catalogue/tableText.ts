import {
  type CatalogueCategory,
  type TableRow,
  valueUnder,
  formatFigure,
  fromSI,
  itemTableOf,
} from '@brookrain/core';

const plain = (value: number): string =>
  formatFigure(value, 9).replaceAll('\u202f', '').replace('\u2212', '-');

const distinct = (rows: readonly TableRow[], key: string): number[] =>
  [...new Set(rows.map((row) => valueUnder(row, key)))].sort((a, b) => a - b);

/** A table as tabbed text, one column per field, for the form; the header alone without rows. */
export function tableText(category: CatalogueCategory, rows: readonly TableRow[]): string {
  const table = itemTableOf(category);
  if (!table) return '';
  if (category === 'injector' && rows.length > 0) {
    const pressures = distinct(rows, 'pressure');
    const at = new Map(
      rows.map((r) => [`${r['voltage']}/${r['pressure']}`, valueUnder(r, 'deadTime')]),
    );
    return [
      ['V', ...pressures.map((p) => `${plain(p / 1e3)} kPa`)],
      ...distinct(rows, 'voltage').map((v) => [
        plain(v),
        ...pressures.map((p) => plain((at.get(`${v}/${p}`) ?? 0) * 1e3)),
      ]),
    ]
      .map((cells) => cells.join('\t'))
      .join('\n');
  }
  const header = table.columns.map((c) => (c.unit === '' ? c.label : `${c.label} [${c.unit}]`));
  const lines = rows.map((row) =>
    table.columns.map((c) => plain(fromSI(valueUnder(row, c.key), c.kind, c.unit))),
  );
  return [header, ...lines].map((cells) => cells.join('\t')).join('\n');
}
