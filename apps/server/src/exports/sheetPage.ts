import { entryAt } from '@brookrain/core';
import { paperFonts as FONTS } from './paperFonts.ts';
import { LATINISED, PaperPdf } from './paperPdf.ts';

const INK = '#1C272C';
const SECOND = '#4A5960';
const LINE = '#76827F';
const SIGNAL = '#A63A0E';
const MARGIN = 40;
const WIDTH = 595.28 - 2 * MARGIN;
const BOTTOM = 841.89 - 56;
/** How wide a sheet is between its margins, mm. */
export const SHEET_MM = (WIDTH / 72) * 25.4;

const POINTS_A_MM = 72 / 25.4;
/** What of a full-size drawing comes onto a sheet, and is on the next one too, mm. */
const TILE = { across: 170, down: 240, overlap: 10 } as const;

const CELL = { size: 8, padding: 2.5 };

/** What draws on the sheet. */
export type Pen = PDFKit.PDFDocument;

/** Colours of the sheet, for drawings. */
export const sheetColours = { ink: INK, second: SECOND, line: LINE, signal: SIGNAL } as const;

export interface Column {
  readonly title: string;
  readonly width: number;
  readonly align?: 'right';
}

/** An A4 sheet that is filled from top to bottom and breaks pages by itself. */
export class SheetPage {
  private readonly pdf: PaperPdf;

  constructor(info: { title: string; footer: string }) {
    this.pdf = new PaperPdf({
      size: 'A4',
      margin: MARGIN,
      bufferPages: true,
      title: info.title,
    });
    this.footer = info.footer;
  }

  private readonly footer: string;

  /** Starts a new page when less than `height` points are left. */
  private need(height: number): void {
    if (this.pdf.y + height > BOTTOM) this.pdf.addPage();
  }

  /** What follows stands on a page of its own. */
  nextPage(): void {
    this.pdf.addPage();
  }

  title(text: string, below: string): void {
    this.pdf
      .font(FONTS.bold)
      .fontSize(17)
      .fillColor(INK)
      .text(text, MARGIN, MARGIN, { width: WIDTH });
    this.pdf.font(FONTS.plain).fontSize(9).fillColor(SECOND).text(below, { width: WIDTH });
    this.pdf.moveDown(0.4);
  }

  heading(text: string): void {
    this.need(60);
    this.pdf.moveDown(0.6);
    this.pdf
      .font(FONTS.bold)
      .fontSize(11)
      .fillColor(INK)
      .text(text, MARGIN, this.pdf.y, { width: WIDTH });
    const y = this.pdf.y + 1;
    this.pdf
      .moveTo(MARGIN, y)
      .lineTo(MARGIN + WIDTH, y)
      .lineWidth(0.75)
      .strokeColor(LINE)
      .stroke();
    this.pdf.y = y + 4;
  }

  text(text: string): void {
    this.need(24);
    this.pdf
      .font(FONTS.plain)
      .fontSize(8.5)
      .fillColor(INK)
      .text(text, MARGIN, this.pdf.y, { width: WIDTH });
    this.pdf.moveDown(0.3);
  }

  /** A caution with its own mark: a bar beside the text. */
  caution(when: string, text: string): void {
    // Measured in the wider bold face, since the sentence starts in it.
    this.pdf.font(FONTS.bold).fontSize(8.5);
    const inner = { width: WIDTH - 12 };
    const height = this.pdf.heightOfString(`${when}. ${text}`, inner) + 3;
    this.need(height);
    const top = this.pdf.y;
    this.pdf.rect(MARGIN, top, 3, height - 3).fill(SIGNAL);
    this.pdf
      .font(FONTS.bold)
      .fillColor(INK)
      .text(`${when}. `, MARGIN + 10, top, { ...inner, continued: true })
      .font(FONTS.plain)
      .text(text, inner);
    this.pdf.y = top + height;
  }

  /** A table whose head stands again on every page that it runs on to. */
  table(columns: readonly Column[], rows: readonly (readonly string[])[]): void {
    const heightOf = (cells: readonly string[], font: 'bold' | 'plain'): number => {
      this.pdf.font(FONTS[font]).fontSize(CELL.size);
      const heights = cells.map((cell, i) =>
        this.pdf.heightOfString(cell === '' ? ' ' : cell, {
          width: entryAt(columns, i).width - 2 * CELL.padding,
        }),
      );
      return Math.max(...heights) + 2 * CELL.padding;
    };
    const titles = columns.map((c) => c.title);
    const headHeight = heightOf(titles, 'bold');
    const open = () => {
      this.pdf.font(FONTS.bold).fontSize(CELL.size);
      const table = this.pdf.table({
        position: { x: MARGIN, y: this.pdf.y },
        columnStyles: columns.map((c) => ({
          width: c.width,
          align: { x: c.align ?? 'left', y: 'top' },
        })),
        defaultStyle: {
          border: { top: 0, left: 0, right: 0, bottom: 0.5 },
          borderColor: LINE,
          padding: CELL.padding,
        },
      });
      return table.row(titles.map((text) => ({ text, textColor: SECOND, type: 'TH' as const })));
    };
    // A head with less than two rows under it is hard to read.
    const first = rows.slice(0, 3).map((row) => heightOf(row, 'plain'));
    this.need(headHeight + first.reduce((sum, height) => sum + height, 0));
    let table = open();
    for (const row of rows) {
      if (this.pdf.y + heightOf(row, 'plain') > BOTTOM) {
        table.end();
        this.pdf.addPage();
        table = open();
      }
      this.pdf.font(FONTS.plain).fontSize(CELL.size);
      table.row(row.map((text) => ({ text, textColor: INK })));
    }
    table.end();
    this.pdf.x = MARGIN;
    this.pdf.moveDown(0.6);
  }

  /** Room for a drawing as wide as the sheet; `draw` gets the pen with the room's corner at 0, 0. */
  drawing(width: number, height: number, draw: (pen: Pen) => void): void {
    const scale = WIDTH / width;
    this.need(height * scale + 6);
    const top = this.pdf.y;
    this.pdf.save().translate(MARGIN, top).scale(scale);
    draw(this.pdf.font(FONTS.plain));
    this.pdf.restore();
    this.pdf.x = MARGIN;
    this.pdf.y = top + height * scale + 6;
  }

  /**
   * A drawing at its full size, mm, over as many sheets as it takes: they overlap by 10 mm, crosses
   * that stand on two sheets lie on each other. `draw` gets a pen in mm with the upper left at 0, 0.
   */
  fullSize(width: number, height: number, draw: (pen: Pen) => void): void {
    const sheets = (size: number, tile: number): number =>
      Math.max(1, Math.ceil((size - TILE.overlap) / tile));
    const [across, down] = [sheets(width, TILE.across), sheets(height, TILE.down)];
    for (let row = 0; row < down; row++) {
      for (let column = 0; column < across; column++) {
        this.nextPage();
        this.pdf
          .font(FONTS.plain)
          .fontSize(8.5)
          .fillColor(SECOND)
          .text(
            `Full size: print without scaling. Sheet ${column + 1} of ${across} across, ${row + 1} of ${down} down`,
            MARGIN,
            MARGIN - 16,
            { width: WIDTH },
          );
        const [left, top] = [column * TILE.across, row * TILE.down];
        this.pdf.save().translate(MARGIN, MARGIN).scale(POINTS_A_MM);
        this.pdf
          .rect(0, 0, TILE.across + TILE.overlap, TILE.down + TILE.overlap)
          .clip()
          .translate(-left, -top);
        draw(this.pdf.font(FONTS.plain));
        for (let x = 0; x <= across; x++) {
          for (let y = 0; y <= down; y++) {
            const [u, v] = [x * TILE.across + TILE.overlap / 2, y * TILE.down + TILE.overlap / 2];
            this.pdf
              .lineWidth(0.2)
              .strokeColor(LINE)
              .moveTo(u - 3, v)
              .lineTo(u + 3, v)
              .moveTo(u, v - 3)
              .lineTo(u, v + 3)
              .stroke();
          }
        }
        this.pdf.restore();
      }
    }
  }

  /** Numbers the pages and closes the sheet. */
  finish(): void {
    const { count } = this.pdf.bufferedPageRange();
    const note = this.pdf.isLatinised ? `   ${LATINISED}` : '';
    for (let i = 0; i < count; i++) {
      this.pdf.switchToPage(i);
      this.pdf.page.margins.bottom = 0;
      this.pdf
        .font(FONTS.plain)
        .fontSize(7.5)
        .fillColor(SECOND)
        .text(`${this.footer}   Page ${i + 1} of ${count}${note}`, MARGIN, 841.89 - 34, {
          width: WIDTH,
          lineBreak: false,
        });
    }
    this.pdf.end();
  }

  /** The finished PDF. */
  bytes(): Promise<Buffer> {
    return this.pdf.bytes();
  }
}
