import { type CutLine, type UnitSystem, benchLength, reelList } from '@brookrain/core';
import type { SheetPage } from './sheetPage.ts';

/** Wires as they are cut, by size and colour, with room to tick; then how much of each is needed. */
export function writeCutList(input: {
  sheet: Pick<SheetPage, 'title' | 'text' | 'heading' | 'table' | 'finish'>;
  buildName: string;
  lines: readonly CutLine[];
  units: UnitSystem;
}): void {
  const { sheet, buildName, lines, units } = input;
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
      { title: 'Size', width: 80 },
      { title: 'Colour', width: 120 },
      { title: 'Wires', width: 60, align: 'right' },
      { title: 'In all', width: 90, align: 'right' },
    ],
    reelList(lines).map(({ size, colour, wires, length }) => [
      size,
      colour,
      `${wires}`,
      benchLength(length, units),
    ]),
  );
  sheet.finish();
}
