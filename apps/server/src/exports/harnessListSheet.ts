import { type HarnessLists, type UnitSystem, benchLength } from '@brookrain/core';
import type { Column, SheetPage } from './sheetPage.ts';

type Sheet = Pick<SheetPage, 'title' | 'text' | 'heading' | 'table' | 'finish'>;

/** Plugs cavity by cavity, one after another, with room to tick. */
function writePins(sheet: Sheet, lists: HarnessLists): void {
  const lines = lists.pins();
  sheet.text('Seen from the wire side. An empty cavity gets a blanking plug.');
  for (const plug of new Set(lines.map((line) => line.plug))) {
    const own = lines.filter((line) => line.plug === plug);
    sheet.heading(`${plug} · ${own[0]?.family ?? ''}, ${own.length} ways`);
    sheet.table(
      [
        { title: '', width: 16 },
        { title: 'Cavity', width: 40 },
        { title: 'Wire', width: 30, align: 'right' },
        { title: 'Size', width: 50 },
        { title: 'Colour', width: 70 },
        { title: 'Contact', width: 140 },
        { title: 'Goes to', width: 150 },
      ],
      own.map((line) => [
        '☐',
        line.cavity,
        line.wire === '' ? '–' : `${line.wire}`,
        line.size,
        line.colour,
        line.contact,
        line.leadsTo,
      ]),
    );
  }
}

const writers: Readonly<
  Record<
    'pins' | 'from-to' | 'bundles' | 'joints',
    {
      readonly title: string;
      readonly write: (sheet: Sheet, lists: HarnessLists, units: UnitSystem) => void;
    }
  >
> = {
  pins: { title: 'Pin lists', write: writePins },
  'from-to': {
    title: 'From-to list',
    write: (sheet, lists, units) => {
      const columns: Column[] = [
        { title: 'Wire', width: 30, align: 'right' },
        { title: 'Size', width: 48 },
        { title: 'Colour', width: 66 },
        { title: 'Length', width: 52, align: 'right' },
        { title: 'From', width: 120 },
        { title: 'To', width: 120 },
        { title: 'What for', width: 70 },
      ];
      const rows = lists
        .fromTo()
        .map((line) => [
          `${line.wire}`,
          line.size,
          line.colour,
          benchLength(line.length, units),
          line.from,
          line.to,
          line.role,
        ]);
      sheet.table(columns, rows);
    },
  },
  bundles: {
    title: 'Bundles and sleeves',
    write: (sheet, lists, units) =>
      sheet.table(
        [
          { title: 'Segment', width: 110 },
          { title: 'Length', width: 52, align: 'right' },
          { title: 'Wires', width: 34, align: 'right' },
          { title: 'Across', width: 48, align: 'right' },
          { title: 'Cover', width: 130 },
          { title: 'Numbers', width: 140 },
        ],
        lists
          .bundles()
          .map((line) => [
            line.segment,
            benchLength(line.length, units),
            `${line.wires}`,
            benchLength(line.diameter, units),
            [line.cover, line.heatSleeve].filter((text) => text !== '').join(' + '),
            line.numbers,
          ]),
      ),
  },
  joints: {
    title: 'Joints',
    write: (sheet, lists, units) => {
      sheet.text('From the start of the segment, as laid on the board.');
      sheet.table(
        [
          { title: 'Joint', width: 150 },
          { title: 'Segment', width: 120 },
          { title: 'At', width: 52, align: 'right' },
          { title: 'Together', width: 56, align: 'right' },
          { title: 'Wires', width: 70 },
          { title: 'Sleeve', width: 66 },
        ],
        lists
          .joints()
          .map((line) => [
            line.joint,
            line.segment || 'at its device',
            line.at === '' ? '' : benchLength(line.at, units),
            `${line.together} mm²`,
            line.wires,
            line.sleeve,
          ]),
      );
    },
  },
};

/** The lists that are written as tables. */
export type TableList = keyof typeof writers;
export const isTableList = (kind: string): kind is TableList => kind in writers;

/** A list of a harness on A4. */
export function writeHarnessList(input: {
  readonly sheet: Sheet;
  readonly buildName: string;
  readonly lists: HarnessLists;
  readonly kind: TableList;
  readonly units: UnitSystem;
}): void {
  const { title, write } = writers[input.kind];
  input.sheet.title(title, input.buildName);
  write(input.sheet, input.lists, input.units);
  input.sheet.finish();
}
