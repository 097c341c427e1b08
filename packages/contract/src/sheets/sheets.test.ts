import {
  type CatalogueCategory,
  type CatalogueItem,
  categories,
  itemRowsOf,
  itemTableOf,
  sampleCatalogue,
  tableRowsOf,
} from '@brookrain/core';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { headerUnit, readHeader } from './headerCell.ts';
import { readRows } from './itemRows.ts';
import { readItemsSheet, writeItemsSheet } from './itemsSheet.ts';
import { readDataTable } from './readDataTable.ts';
import { sameItem } from './sameItem.ts';
import { plainCell, quotedCell, readGrid, writeGrid } from './sheetGrid.ts';

const itemsOf = (category: CatalogueCategory): CatalogueItem[] =>
  sampleCatalogue.items.filter((item) => item.category === category);

describe('grids', () => {
  test.each([
    [
      'a\tb\n1\t2',
      [
        ['a', 'b'],
        ['1', '2'],
      ],
    ],
    [
      'a;b\r\n1,5;2',
      [
        ['a', 'b'],
        ['1,5', '2'],
      ],
    ],
    [
      'a,b\n"1,5",2\n',
      [
        ['a', 'b'],
        ['1,5', '2'],
      ],
    ],
    [
      '\uFEFF\n\na;b\n1',
      [
        ['a', 'b'],
        ['1', ''],
      ],
    ],
  ])('%j is read cell by cell', (text, grid) => {
    expect(readGrid(text)).toEqual({ ok: true, grid });
  });

  test('what is empty or too large is refused', () => {
    for (const text of ['', ' \n ', ';', ';;\n;', '\t\t', ',\r\n,']) {
      expect(readGrid(text), JSON.stringify(text)).toMatchObject({ ok: false });
    }
    expect(readGrid('a\n'.repeat(6000))).toMatchObject({ ok: false });
    expect(readGrid('a;'.repeat(200))).toMatchObject({ ok: false });
  });

  test('any cells come back as they were, whatever signs they begin with', () => {
    const cell = fc
      .string({ minLength: 1, maxLength: 12 })
      .map((text) => text.replaceAll('\u00a0', ' ').trim())
      .filter((text) => text !== '' && !/[\r\n]/.test(text) && !text.startsWith('\uFEFF'));
    fc.assert(
      fc.property(fc.array(fc.tuple(cell, cell), { minLength: 1, maxLength: 8 }), (rows) => {
        const quoted = rows.map((row) => row.map(quotedCell));
        const read = readGrid(writeGrid([['id', 'name'], ...quoted]));
        if (!read.ok) throw new Error(read.message);
        expect(read.grid.slice(1).map((row) => row.map(plainCell))).toEqual(rows);
      }),
    );
  });

  test('no cell of an export begins with the sign of a formula', () => {
    for (const sign of ['=', '+', '-', '@']) {
      const [, cell] = writeGrid([['id'], [`${sign}SUM(A1)`]]).split('\r\n');
      expect(cell!.replace(/^"/, '').startsWith("'")).toBe(true);
    }
  });
});

describe('header cells', () => {
  test.each([
    ['Flow [L/h]', 'Flow', 'L/h'],
    ['Flow (L/h)', 'Flow', 'L/h'],
    ['Flow, L/h', 'Flow', 'L/h'],
    ['Flow 13,5 V [L/h]', 'Flow 13,5 V', 'L/h'],
    ['Flow 13,5 V', 'Flow 13,5 V', undefined],
    ['price []', 'price', ''],
  ])('%s', (cell, name, unit) => {
    expect(readHeader(cell)).toEqual({ name, unit });
  });

  test('a unit of another kind is refused with those that fit', () => {
    const read = headerUnit({ name: 'Flow', unit: 'bar' }, 'volumeFlow', 'L/h');
    expect(read).toMatchObject({ ok: false });
    expect((read as { message: string }).message).toContain('L/h');
  });
});

describe('items as CSV', () => {
  test.each(categories)('%s go out and come back the same', (category) => {
    const items = itemsOf(category);
    const sheet = readItemsSheet(category, writeItemsSheet(category, items));
    expect(sheet.problems).toEqual([]);
    expect(sheet.items).toHaveLength(items.length);
    sheet.items.forEach((item, i) => expect(sameItem(item, items[i]!), item.id).toBe(true));
  });

  test('any hose goes out and comes back the same', () => {
    const [hose] = itemsOf('hose');
    const text = fc
      .string({ minLength: 1, maxLength: 20 })
      .map((t) => t.replaceAll('\u00a0', ' ').trim())
      .filter((t) => t !== '' && !/[\r\n\uFEFF]/.test(t));
    fc.assert(
      fc.property(
        fc.record({
          id: text,
          designation: text,
          family: text,
          interchange: text,
          bore: fc.double({ min: 1e-3, max: 0.1, noNaN: true }),
          outsideDiameter: fc.double({ min: 1e-3, max: 0.2, noNaN: true }),
          pressureRating: fc.double({ min: 1e3, max: 1e8, noNaN: true }),
          ethanolLimit: fc.double({ min: 0, max: 1, noNaN: true }),
          price: fc.double({ min: 0, max: 1e6, noNaN: true }),
          dash: fc.integer({ min: 0, max: 32 }),
        }),
        (made) => {
          const item = { ...hose!, ...made } as CatalogueItem;
          const sheet = readItemsSheet('hose', writeItemsSheet('hose', [item]));
          expect(sheet.problems).toEqual([]);
          expect(sameItem(sheet.items[0]!, item)).toBe(true);
        },
      ),
      { numRuns: 200 },
    );
  });

  const hoses = writeItemsSheet('hose', itemsOf('hose').slice(0, 3));
  const lines = hoses.split('\r\n');
  const withCell = (row: number, column: number, cell: string): string =>
    lines
      .map((line, r) =>
        r === row
          ? line
              .split(',')
              .map((c, i) => (i === column ? cell : c))
              .join(',')
          : line,
      )
      .join('\n');
  const column = lines[0]!.split(',').findIndex((c) => c.startsWith('bore'));

  test.each([
    ['two', 'Enter a number'],
    ['', 'Bore is missing'],
    ['-3', 'must be from 1 mm to 100 mm'],
    ['12 bar', 'is not a unit used here'],
  ])('%s as a bore is told at its cell', (cell, message) => {
    const { problems, items } = readItemsSheet('hose', withCell(2, column, cell));
    expect(problems).toHaveLength(1);
    expect(problems[0]).toMatchObject({ row: 2, column });
    expect(problems[0]!.message).toContain(message);
    // The others hold, but nothing may be kept while one does not.
    expect(items.map((i) => i.id)).not.toContain(lines[2]!.split(',')[0]);
  });

  test('units of the header and of a cell are both understood, decimal comma too', () => {
    const inch = withCell(0, column, 'Bore [in]');
    const typed = withCell(1, column, '"0,25 in"');
    expect(readItemsSheet('hose', typed).items[0]).toMatchObject({ bore: 0.25 * 0.0254 });
    const { items } = readItemsSheet(
      'hose',
      inch.replace(/^([^\n]*\n(?:[^,]*,){6})[\d.]+/, '$10.5'),
    );
    expect(items[0]).toMatchObject({ bore: 0.5 * 0.0254 });
  });

  test('a column that is missing, a wrong unit and an id twice are told', () => {
    const cut = lines
      .map((l) =>
        l
          .split(',')
          .filter((_, i) => i !== column)
          .join(','),
      )
      .join('\n');
    expect(readItemsSheet('hose', cut).problems[0]!.message).toContain('no column "bore"');
    const wrong = withCell(0, column, 'bore [kPa]');
    expect(readItemsSheet('hose', wrong).problems[0]).toMatchObject({ row: 0, column });
    const twice = `${hoses}\r\n${lines[1]}`;
    expect(readItemsSheet('hose', twice).problems[0]!.message).toContain('twice');
  });

  test('whatever text comes in, it is read without a failure of the program', () => {
    const cell = fc.oneof(
      fc.string({ maxLength: 10 }),
      fc.constantFrom('id', 'bore [mm]', '1,5', '-', '1e999', '__proto__', 'constructor', '=1'),
    );
    const table = fc
      .array(fc.array(cell, { minLength: 1, maxLength: 8 }), { maxLength: 8 })
      .map((rows) => rows.map((row) => row.join(';')).join('\n'));
    fc.assert(
      fc.property(fc.constantFrom(...categories), table, (category, text) => {
        const sheet = readItemsSheet(category, text);
        if (sheet.items.length === 0) expect(sheet.problems.length).toBeGreaterThan(0);
        readDataTable(category, text);
      }),
      { numRuns: 1000 },
    );
  });
});

describe('tables of a data sheet', () => {
  const sheet = [
    'Pressure [bar];Flow 12 V [L/h];Current 12 V [A];Flow 13,5 V [L/h];Current 13,5 V [A]',
    '0;240,5;4,1;270;4,4',
    '1,5;220;;250;5,0',
    '3;195;6,2;228;6,6',
    '4,5;;;180;8',
  ];

  test('a pump sheet with decimal commas and gaps becomes curves', () => {
    const { rows, problems, notes } = readDataTable('pump', sheet.join('\n'));
    expect(problems).toEqual([]);
    expect(rows.filter((r) => r['voltage'] === 12)).toHaveLength(3);
    expect(rows.filter((r) => r['voltage'] === 13.5)).toHaveLength(4);
    const gap = rows.find((r) => r['voltage'] === 12 && r['pressure'] === 150e3)!;
    // Straight over flow between 4.1 A at 240.5 L/h and 6.2 A at 195 L/h.
    expect(gap['current']).toBeCloseTo(4.1 + (2.1 * (240.5 - 220)) / (240.5 - 195), 9);
    expect(notes.join(' ')).toContain('interpolated');
    expect(notes.join(' ')).toContain('no flow in 1 row');
  });

  test.each([
    [1, 1, '19o'],
    [2, 3, 'much'],
    [3, 0, 'x'],
  ])('row %i, column %i: "%s" is told there', (row, at, cell) => {
    const wrong = sheet.map((line, r) =>
      r === row
        ? line
            .split(';')
            .map((c, i) => (i === at ? cell : c))
            .join(';')
        : line,
    );
    const { problems } = readDataTable('pump', wrong.join('\n'));
    expect(problems).toContainEqual(expect.objectContaining({ row, column: at }));
  });

  test('a current at the end of a curve is not guessed', () => {
    const { problems } = readDataTable('pump', sheet.slice(0, 3).join('\n'));
    expect(problems).toContainEqual(expect.objectContaining({ row: 2, column: 2 }));
  });

  test('a flow column without its current is told', () => {
    const { problems } = readDataTable('pump', 'Pressure [kPa];Flow 12 V [L/h]\n0;100\n100;80');
    expect(problems[0]!.message).toContain('both a flow and a current');
  });

  test('dead times by voltage and pressure, a gap filled between neighbours', () => {
    const text = 'V;200 kPa;300 kPa;4 bar\n12;1,0;;1,2\n14;0,8;0,85;0,95';
    const { rows, problems, notes } = readDataTable('injector', text);
    expect(problems).toEqual([]);
    expect(rows).toHaveLength(6);
    expect(
      rows.find((r) => r['voltage'] === 12 && r['pressure'] === 300e3)!['deadTime'],
    ).toBeCloseTo(1.1e-3, 12);
    expect(notes).toHaveLength(1);
  });

  test('a dead time missing at the edge is told at its cell', () => {
    const { problems } = readDataTable('injector', 'V;200 kPa;300 kPa\n12;1,0;\n14;0,8;0,85');
    expect(problems).toContainEqual(expect.objectContaining({ row: 1, column: 2 }));
  });

  test.each(categories.filter((c) => itemTableOf(c)))(
    '%s: one column per field, in any order',
    (c) => {
      const [item] = itemsOf(c);
      const { columns } = itemTableOf(c)!;
      const order = [...columns].reverse();
      const rows = tableRowsOf(item!);
      const text = [
        order.map((column) => `${column.label} [${column.unit}]`).join('\t'),
        ...rows.map((row) =>
          order
            .map((column) => {
              const factor = { mm: 1e3 }[column.unit] ?? 1;
              return `${row[column.key]! * factor} ${column.kind === 'count' ? '' : siUnit[column.kind]}`;
            })
            .join('\t'),
        ),
      ].join('\n');
      const read = readDataTable(c, text);
      expect(read.problems).toEqual([]);
      read.rows.forEach((row, i) => {
        for (const { key } of columns) expect(row[key]).toBeCloseTo(rows[i]![key]!, 12);
      });
    },
  );
});

const siUnit: Record<string, string> = {
  voltage: 'V',
  pressure: 'Pa',
  volumeFlow: 'm³/s',
  current: 'A',
  time: 's',
};

describe('a list of pins as a table', () => {
  const rows = itemRowsOf('ecu')!;
  const read = (text: string) =>
    readRows(
      rows.fields,
      text.split('\n').map((l) => l.split(';')),
    );
  const header = 'pin;name;plug;row;column;number;capabilities;current [mA];frequency [kHz]';

  test('is read from a manual’s columns in any order, in the units of its header', () => {
    const { rows: pins, problems } = read(
      `${header}\nA1;Fan;A;1;1;1;low-side + pwm;500;0.3\nA2;Sensor ground;A;1;2;1;sensor-ground;;`,
    );
    expect(problems).toEqual([]);
    expect(pins).toMatchObject([
      { id: 'A1', capabilities: ['low-side', 'pwm'], current: 0.5, frequency: 300, timer: '' },
      { id: 'A2', capabilities: ['sensor-ground'], current: 0, frequency: 0, pullUp: 0 },
    ]);
  });

  test.each([
    ['an unknown capability', `${header}\nA1;Fan;A;1;1;1;magic;500;1`, 1, 6, /write one of/],
    ['a missing name', `${header}\nA1;;A;1;1;1;pwm;500;1`, 1, 1, /missing/],
    ['half a row', `${header}\nA1;Fan;A;x;1;1;pwm;500;1`, 1, 3, /whole number/],
    ['a current in volts', `${header}\nA1;Fan;A;1;1;1;pwm;5 V;1`, 1, 7, /./],
    ['no rows', header, 0, 0, /no rows/],
  ])('%s is told at its cell', (_what, text, row, column, message) => {
    const [first] = read(text).problems;
    expect(first).toMatchObject({ row, column });
    expect(first?.message).toMatch(message);
  });

  test('a table without a column that has to be there says which', () => {
    const { problems } = read('pin;name\nA1;Fan');
    expect(problems.map(({ message }) => message).join()).toMatch(/"plug"/);
  });
});
