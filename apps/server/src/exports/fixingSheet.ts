import {
  type Catalogue,
  type DrawnLayer,
  type DrawnShape,
  type FixingDrawing,
  type HeldComponent,
  TEXT_HEIGHT,
  fixingParts,
} from '@brookrain/core';
import { type Pen, type SheetPage, SHEET_MM, sheetColours } from './sheetPage.ts';

/** Scales in which a plate may be drawn: the largest that fits. */
const SCALES = [1, 2, 4, 8] as const;
/** Height that is left for it on a sheet, mm. */
const ROOM = 170;
/** Length of the line by which a print is checked, mm. */
const CHECK = 100;

const pens: Readonly<Record<DrawnLayer, readonly [colour: string, width: number, dash?: number]>> =
  {
    cut: [sheetColours.ink, 0.5],
    hole: [sheetColours.ink, 0.4],
    bend: [sheetColours.ink, 0.3, 3],
    part: [sheetColours.line, 0.3, 1],
    measure: [sheetColours.second, 0.2],
  };

/** The largest scale in which a drawing fits on a sheet: 1 in how many. */
export const scaleOf = ({ low, high }: FixingDrawing): number =>
  SCALES.find(
    (scale) => (high[0] - low[0]) / scale <= SHEET_MM && (high[1] - low[1]) / scale <= ROOM,
  ) ?? 16;

function drawShape(pen: Pen, shape: DrawnShape, scale: number): void {
  const [colour, width, dash] = pens[shape.layer];
  if (shape.kind === 'text') {
    const [x, y] = shape.at;
    const size = TEXT_HEIGHT * scale;
    pen.fillColor(colour).fontSize(size);
    const wide = pen.widthOfString(shape.text);
    pen.save().translate(x, -y);
    if (shape.upright) pen.rotate(-90);
    pen.text(shape.text, -wide / 2, -size * 1.15, { lineBreak: false });
    pen.restore();
    return;
  }
  pen.strokeColor(colour).lineWidth(width * scale);
  if (dash === undefined) pen.undash();
  else pen.dash(dash * scale, { space: dash * scale * 0.6 });
  if (shape.kind === 'line') {
    pen.moveTo(shape.from[0], -shape.from[1]).lineTo(shape.to[0], -shape.to[1]).stroke();
  } else pen.circle(shape.centre[0], -shape.centre[1], shape.radius).stroke();
  pen.undash();
}

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
      : `Drawn 1:${scale}. The line below stands for ${CHECK} mm. All measures in mm.`,
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
    sheet.heading('What it takes');
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
