import { type CutLine, type ReelLine, type UnitSystem, benchLength } from '@brookrain/core';
import type { SheetPage } from './sheetPage.ts';

/** Wires as they are cut, by size and colour, with room to tick; then how much of each is needed. */
export function writeCutList(input: {
  sheet: Pick<SheetPage, 'title' | 'text' | 'heading' | 'table' | 'finish'>;
  buildName: string;
  lines: readonly CutLine[];
  reels: readonly ReelLine[];
  units: UnitSystem;
}): void {
  const { sheet, buildName, lines, reels, units } = input;
  const total = lines.reduce((sum, { length }) => sum + length, 0);
  sheet.title('Cut list', `${buildName} · wires by size and colour, the longest first`);
  sheet.text(
    `${lines.length} wires, ${benchLength(total, units)} in all, ends and loops counted in. Mark both ends of each with its number.`,
  );
  sheet.table(
    [
      { title: '', width: 16 },
      { title: 'No', width: 26, align: 'right' },
      { title: 'Size', width: 52 },
      { title: 'Colour', width: 70 },
      { title: 'Cut to', width: 56, align: 'right' },
      { title: 'From', width: 130 },
      { title: 'To', width: 130 },
    ],
    lines.map((line) => [
      line.is === 'cut' ? '☑' : '☐',
      `${line.number}`,
      line.size,
      line.colour,
      `${benchLength(line.length, units)}${line.lengthIsFrom === 'map' ? ' *' : ''}`,
      line.from,
      line.to,
    ]),
  );
  if (lines.some(({ lengthIsFrom }) => lengthIsFrom === 'map')) {
    sheet.text('* estimated along the axes of the vehicle: measure before cutting.');
  }
  sheet.heading('From the reels');
  sheet.table(
    [
      { title: 'Size', width: 52 },
      { title: 'Colour', width: 80 },
      { title: 'Wires', width: 40, align: 'right' },
      { title: 'In all', width: 60, align: 'right' },
      { title: 'Buy', width: 56, align: 'right' },
      { title: 'Wires cut from each length', width: 190 },
    ],
    reels.map(({ size, colour, wires, length, bought, lengths }) => [
      size,
      colour,
      `${wires}`,
      benchLength(length, units),
      benchLength(bought, units),
      lengths
        .map((each) => `${benchLength(each.length, units)}: ${each.wires.join(' ')}`)
        .join('; '),
    ]),
  );
  sheet.finish();
}
