import {
  type BoardDrawing,
  type BoardPaper,
  BOARD_CHECK_LINE,
  SHEET_EDGE,
  TILE_OVERLAP,
  boardPapers,
  boardTiles,
} from '@brookrain/core';
import { drawShape } from './drawShape.ts';
import { paperFonts } from './paperFonts.ts';
import { PaperPdf } from './paperPdf.ts';
import { sheetColours } from './sheetPage.ts';

const POINTS_A_MM = 72 / 25.4;
/** Arms of the crosses that stand on two sheets, mm. */
const CROSS = 4;

/**
 * A board at full size over as many sheets as it takes: each says where it belongs and has a line to
 * check the print by; crosses that stand on two sheets lie on each other.
 */
export async function formboardPdf(input: {
  readonly title: string;
  readonly footer: string;
  readonly drawing: BoardDrawing;
  readonly paper: BoardPaper;
}): Promise<Buffer> {
  const { title, footer, drawing, paper } = input;
  const { across, down, step, tiles } = boardTiles(drawing, paper);
  const pdf = new PaperPdf({ title, autoFirstPage: false, margin: 0 });
  const sheet = boardPapers[paper];
  for (const tile of tiles) {
    // A roll is cut where the board ends.
    const size = [
      paper === 'roll' ? tile.width + 2 * SHEET_EDGE : sheet.across,
      paper === 'roll' ? Math.min(sheet.down, tile.height + 2 * SHEET_EDGE) : sheet.down,
    ];
    pdf.addPage({ size: size.map((mm) => mm * POINTS_A_MM) as [number, number], margin: 0 });
    pdf.save().scale(POINTS_A_MM).translate(SHEET_EDGE, SHEET_EDGE);
    pdf.save().rect(0, 0, tile.width, tile.height).clip();
    pdf
      .font(paperFonts.plain)
      .translate(-tile.left, -tile.top)
      .translate(-drawing.low[0], drawing.high[1]);
    for (const shape of drawing.shapes) drawShape(pdf, shape, 1);
    pdf.restore();
    pdf.lineWidth(0.2).strokeColor(sheetColours.line);
    for (let x = 0; x <= across; x += 1) {
      for (let y = 0; y <= down; y += 1) {
        const [u, v] = [
          x * step[0] + TILE_OVERLAP / 2 - tile.left,
          y * step[1] + TILE_OVERLAP / 2 - tile.top,
        ];
        if (u < 0 || v < 0 || u > tile.width || v > tile.height) continue;
        pdf.moveTo(u - CROSS, v).lineTo(u + CROSS, v);
        pdf
          .moveTo(u, v - CROSS)
          .lineTo(u, v + CROSS)
          .stroke();
      }
    }
    pdf.restore();
    pdf.save().scale(POINTS_A_MM);
    const foot = (size[1] ?? 0) - 4;
    pdf.lineWidth(0.3).strokeColor(sheetColours.ink);
    pdf.moveTo(SHEET_EDGE, foot - 3.5).lineTo(SHEET_EDGE + BOARD_CHECK_LINE, foot - 3.5);
    for (const at of [SHEET_EDGE, SHEET_EDGE + BOARD_CHECK_LINE]) {
      pdf.moveTo(at, foot - 5).lineTo(at, foot - 2);
    }
    pdf.stroke();
    pdf
      .font(paperFonts.plain)
      .fontSize(3)
      .fillColor(sheetColours.second)
      .text(
        `Sheet ${tile.name} of ${across} across and ${down} down. Print without scaling: the line is ${BOARD_CHECK_LINE} mm.`,
        SHEET_EDGE + BOARD_CHECK_LINE + 4,
        foot - 5,
        { lineBreak: false },
      )
      .text(footer, SHEET_EDGE, 4, { lineBreak: false });
    pdf.restore();
  }
  pdf.end();
  return pdf.bytes();
}
