import type { RepinnedLine } from '@brookrain/core';
import type { SheetPage } from './sheetPage.ts';

/** Plugs that are kept, cavity by cavity before and after, with room to tick. */
export function writeKeptPlugs(input: {
  sheet: Pick<SheetPage, 'title' | 'text' | 'heading' | 'table' | 'finish'>;
  buildName: string;
  lines: readonly RepinnedLine[];
}): void {
  const { sheet, buildName, lines } = input;
  sheet.title('Kept connectors', `${buildName} · cavity by cavity, before and after`);
  sheet.text('Draw contacts out rather than cut wires: then all of it can be put back.');
  for (const plug of new Set(lines.map((line) => line.plug))) {
    sheet.heading(plug);
    sheet.table(
      [
        { title: '', width: 16 },
        { title: 'Cavity', width: 44 },
        { title: 'Before', width: 140 },
        { title: 'After', width: 140 },
        { title: 'What is done', width: 110 },
        { title: 'Back', width: 34 },
      ],
      lines
        .filter((line) => line.plug === plug)
        .map((line) => [
          '☐',
          line.cavity,
          line.before || '–',
          line.after || '–',
          line.work,
          line.reversible,
        ]),
    );
  }
  sheet.finish();
}
