import { CHECK_LINE, type FixingDrawing, type PanelDesign } from '@brookrain/core';
import { drawShape } from './drawShape.ts';
import type { SheetPage } from './sheetPage.ts';

const mm = (metres: number): string => `${Math.round(metres * 1e4) / 10}`;

/** The panel for the bench: what stands where, what to buy, how it is wired, and the plate at full size. */
export function writePanel(input: {
  sheet: Pick<SheetPage, 'title' | 'text' | 'heading' | 'table' | 'fullSize' | 'finish'>;
  buildName: string;
  panel: PanelDesign;
  drawing: FixingDrawing;
}): void {
  const { sheet, panel, drawing } = input;
  const { layout } = panel;
  sheet.title(
    'Relay panel',
    `${input.buildName} · plate ${mm(layout.width)} × ${mm(layout.height)} mm`,
  );
  sheet.text(
    `The plate follows at full size. Check the print first: the line below it is ${CHECK_LINE} mm long. Four fasteners hold it at its corners, so that it can be removed with its connectors.`,
  );
  sheet.heading('Parts on the panel');
  sheet.table(
    [
      { title: 'No.', width: 34, align: 'right' },
      { title: 'Part', width: 230 },
      { title: 'Middle from left, mm', width: 96, align: 'right' },
      { title: 'from below, mm', width: 84, align: 'right' },
      { title: 'Holes, mm', width: 70, align: 'right' },
    ],
    layout.places.map(({ item, x, y }, i) => [
      `${i + 1}`,
      item.name,
      mm(x),
      mm(y),
      `${item.spacing > 0 ? '2 × ' : ''}⌀ ${mm(item.hole)}`,
    ]),
  );
  sheet.heading('To buy, one spare of each counted');
  sheet.table(
    [
      { title: 'Count', width: 50, align: 'right' },
      { title: 'Part', width: 300 },
    ],
    panel.parts.map(({ designation, count }) => [`${count}`, designation]),
  );
  sheet.heading('How it is wired');
  sheet.table(
    [
      { title: 'From', width: 200 },
      { title: 'To', width: 200 },
      { title: 'Size', width: 60 },
      { title: 'Leaves', width: 50 },
    ],
    panel.wires.map(({ from, to, size, leaves }) => [from, to, size, leaves ? 'yes' : '']),
  );
  const { low, high } = drawing;
  sheet.fullSize(high[0] - low[0], high[1] - low[1], (pen) => {
    pen.translate(-low[0], high[1]);
    for (const shape of drawing.shapes) drawShape(pen, shape, 1);
    pen.translate(low[0], -high[1]);
  });
  sheet.finish();
}
