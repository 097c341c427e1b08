import { type Ink, type PlacedSheet, schematicInk, schematicSizes } from '@brookrain/core';
import { paperFonts } from './paperFonts.ts';
import { LATINISED, PaperPdf } from './paperPdf.ts';
import { type Pen, sheetColours } from './sheetPage.ts';

/** A4 on its side, points. */
const PAGE = { width: 841.89, height: 595.28, margin: 30, head: 30, foot: 22 } as const;
/** A sheet is not drawn larger than this: its letters would shout. */
const LARGEST = 1.5;

function drawInk(pen: Pen, ink: Ink): void {
  pen.strokeColor(sheetColours.ink).fillColor(sheetColours.ink);
  switch (ink.kind) {
    case 'line': {
      pen.lineWidth(ink.weight);
      if (ink.dash.length > 0) {
        const [dash, ...rest] = ink.dash;
        // Of a pattern of several strokes the first one and all its gaps stand for it.
        pen.dash(dash ?? 1, { space: rest.reduce((sum, part) => sum + part, 0) / rest.length });
      } else pen.undash();
      ink.points.forEach(([x, y], i) => (i === 0 ? pen.moveTo(x, y) : pen.lineTo(x, y)));
      pen.stroke().undash();
      return;
    }
    case 'circle': {
      pen.lineWidth(0.9).circle(...ink.at, ink.radius);
      if (ink.filled) pen.fill();
      else pen.stroke();
      return;
    }
    case 'text': {
      pen.font(ink.bold ? paperFonts.bold : paperFonts.plain).fontSize(schematicSizes.letter);
      const wide = pen.widthOfString(ink.text);
      const size = schematicSizes.letter * Math.min(1, ink.width / wide);
      pen.fontSize(size);
      const [x, y] = ink.at;
      const shift = { start: 0, middle: 0.5, end: 1 }[ink.anchor] * pen.widthOfString(ink.text);
      pen.text(ink.text, x - shift, y - size * 0.93, { lineBreak: false });
    }
  }
}

/** Sheets as a PDF, one on each page of A4 on its side, black on white. */
export async function schematicPdf(input: {
  readonly sheets: readonly PlacedSheet[];
  readonly buildName: string;
  readonly footer: string;
}): Promise<Buffer> {
  const { sheets, buildName, footer } = input;
  const pdf = new PaperPdf({
    size: [PAGE.width, PAGE.height],
    margin: 0,
    autoFirstPage: false,
    title: `${buildName}: schematic`,
  });
  const { margin, head, foot } = PAGE;
  const room = {
    width: PAGE.width - 2 * margin,
    height: PAGE.height - 2 * margin - head - foot,
  };
  sheets.forEach((sheet, i) => {
    pdf.addPage();
    const line = (text: string, y: number, size: number, bold: boolean): void => {
      pdf
        .font(bold ? paperFonts.bold : paperFonts.plain)
        .fontSize(size)
        .fillColor(sheetColours.ink)
        .text(text, margin, y, { lineBreak: false });
    };
    line(sheet.title, margin, 14, true);
    line(
      `${buildName} · ${String(sheet.wires.length)} wires · ${String(sheet.crossings)} cross`,
      margin + 17,
      8,
      false,
    );
    line(
      `${footer}   Sheet ${String(i + 1)} of ${String(sheets.length)}${pdf.isLatinised ? `   ${LATINISED}` : ''}`,
      PAGE.height - margin - 8,
      8,
      false,
    );
    const scale = Math.min(LARGEST, room.width / sheet.width, room.height / sheet.height);
    pdf
      .save()
      .translate(margin, margin + head)
      .scale(scale);
    for (const ink of schematicInk(sheet)) drawInk(pdf, ink);
    pdf.restore();
  });
  pdf.end();
  return pdf.bytes();
}
