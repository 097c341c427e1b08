import {
  type Catalogue,
  type FixingDrawing,
  type HeldComponent,
  fixingParts,
} from '@brookrain/core';
import { drawShape } from './drawShape.ts';
import { type SheetPage, SHEET_MM, sheetColours } from './sheetPage.ts';

/** Scales in which a plate may be drawn: the largest that fits. */
const SCALES = [1, 2, 4, 8] as const;
/** Height that is left for it on a sheet, mm. */
const ROOM = 170;
/** Length of the line by which a print is checked, mm. */
const CHECK = 100;

/** The largest scale in which a drawing fits on a sheet: 1 in how many. */
export const scaleOf = ({ low, high }: FixingDrawing): number =>
  SCALES.find(
    (scale) => (high[0] - low[0]) / scale <= SHEET_MM && (high[1] - low[1]) / scale <= ROOM,
  ) ?? 16;

/** One page for the bench: the plate to scale with its measures, a line to check the print by, its parts. */
export function writeFixing(input: {
  sheet: Pick<SheetPage, 'title' | 'text' | 'heading' | 'table' | 'drawing' | 'finish'>;
  buildName: string;
  held: HeldComponent;
  catalogue: Catalogue;
  drawing: FixingDrawing;
}): void {
  const { sheet, held, drawing } = input;
  const scale = scaleOf(drawing);
  const { low, high } = drawing;
  sheet.title(
    `Plate of the ${held.component.name.toLowerCase()}`,
    `${input.buildName} · ${held.component.item.designation}${held.carrier ? ` · onto ${held.carrier.name.toLowerCase()}` : ''}`,
  );
  sheet.text(
    scale === 1
      ? `Drawn 1:1. Print without scaling; the line below is ${CHECK} mm long. All measures in mm.`
      : `Drawn 1:${scale}. The line below is ${CHECK} mm long. All measures in mm.`,
  );
  const across = SHEET_MM * scale;
  const height = high[1] - low[1] + 8 * scale;
  sheet.drawing(across, height, (pen) => {
    pen.save().translate((across - (high[0] - low[0])) / 2 - low[0], high[1] + 2 * scale);
    for (const shape of drawing.shapes) drawShape(pen, shape, scale);
    pen.restore();
    pen
      .strokeColor(sheetColours.ink)
      .lineWidth(0.4 * scale)
      .moveTo(0, height - 2 * scale)
      .lineTo(CHECK, height - 2 * scale)
      .stroke();
  });
  for (const note of drawing.notes) sheet.text(note);
  if (held.made.ok) {
    sheet.heading('Parts and fasteners');
    sheet.table(
      [
        { title: 'Count', width: 50, align: 'right' },
        { title: 'Part', width: 300 },
      ],
      fixingParts(held.wanted, held.made.design, input.catalogue).map(({ item, words, count }) => [
        `${count}`,
        item?.designation ?? `${words} (not in the catalogue)`,
      ]),
    );
  }
  sheet.finish();
}
