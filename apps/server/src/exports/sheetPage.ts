import { entryAt } from '@brookrain/core';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import PdfDocument from 'pdfkit';

const fonts = join(
  dirname(createRequire(import.meta.url).resolve('dejavu-fonts-ttf/package.json')),
  'ttf',
);

const INK = '#1C272C';
const SECOND = '#4A5960';
const LINE = '#76827F';
const SIGNAL = '#A63A0E';
const MARGIN = 40;
const WIDTH = 595.28 - 2 * MARGIN;
const BOTTOM = 841.89 - 56;

export interface Column {
  readonly title: string;
  readonly width: number;
  readonly align?: 'right';
}

/** An A4 sheet that is filled from top to bottom and breaks pages by itself. */
export class SheetPage {
  private readonly pdf: PDFKit.PDFDocument;
  private readonly chunks: Buffer[] = [];
  private readonly done: Promise<Buffer>;

  constructor(info: { title: string; footer: string }) {
    this.pdf = new PdfDocument({
      size: 'A4',
      margin: MARGIN,
      bufferPages: true,
      info: { Title: info.title, Producer: 'Brookrain', Creator: 'Brookrain' },
    });
    this.pdf.registerFont('plain', join(fonts, 'DejaVuSansCondensed.ttf'));
    this.pdf.registerFont('bold', join(fonts, 'DejaVuSansCondensed-Bold.ttf'));
    this.footer = info.footer;
    this.done = new Promise((resolve) => {
      this.pdf.on('data', (chunk: Buffer) => this.chunks.push(chunk));
      this.pdf.on('end', () => resolve(Buffer.concat(this.chunks)));
    });
  }

  private readonly footer: string;

  /** Starts a new page when less than `height` points are left. */
  private need(height: number): void {
    if (this.pdf.y + height > BOTTOM) this.pdf.addPage();
  }

  title(text: string, below: string): void {
    this.pdf.font('bold').fontSize(17).fillColor(INK).text(text, MARGIN, MARGIN, { width: WIDTH });
    this.pdf.font('plain').fontSize(9).fillColor(SECOND).text(below, { width: WIDTH });
    this.pdf.moveDown(0.4);
  }

  heading(text: string): void {
    this.need(60);
    this.pdf.moveDown(0.6);
    this.pdf
      .font('bold')
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
      .font('plain')
      .fontSize(8.5)
      .fillColor(INK)
      .text(text, MARGIN, this.pdf.y, { width: WIDTH });
    this.pdf.moveDown(0.3);
  }

  /** A caution with its own mark: a bar beside the text. */
  caution(when: string, text: string): void {
    // Measured in the wider bold face, since the sentence starts in it.
    this.pdf.font('bold').fontSize(8.5);
    const inner = { width: WIDTH - 12 };
    const height = this.pdf.heightOfString(`${when}. ${text}`, inner) + 3;
    this.need(height);
    const top = this.pdf.y;
    this.pdf.rect(MARGIN, top, 3, height - 3).fill(SIGNAL);
    this.pdf
      .font('bold')
      .fillColor(INK)
      .text(`${when}. `, MARGIN + 10, top, { ...inner, continued: true })
      .font('plain')
      .text(text, inner);
    this.pdf.y = top + height;
  }

  table(columns: readonly Column[], rows: readonly (readonly string[])[]): void {
    const draw = (cells: readonly string[], font: 'bold' | 'plain', colour: string): void => {
      this.pdf.font(font).fontSize(8);
      const heights = cells.map((cell, i) =>
        this.pdf.heightOfString(cell === '' ? ' ' : cell, { width: entryAt(columns, i).width - 6 }),
      );
      const height = Math.max(...heights) + 5;
      this.need(height);
      const y = this.pdf.y;
      let x = MARGIN;
      cells.forEach((cell, i) => {
        const column = entryAt(columns, i);
        this.pdf.fillColor(colour).text(cell, x + 3, y + 3, {
          width: column.width - 6,
          align: column.align ?? 'left',
        });
        x += column.width;
      });
      this.pdf
        .moveTo(MARGIN, y + height)
        .lineTo(x, y + height)
        .lineWidth(0.5)
        .strokeColor(LINE)
        .stroke();
      this.pdf.y = y + height;
      this.pdf.x = MARGIN;
    };
    draw(
      columns.map((c) => c.title),
      'bold',
      SECOND,
    );
    for (const row of rows) draw(row, 'plain', INK);
    this.pdf.moveDown(0.4);
  }

  /** Numbers the pages and closes the sheet. */
  finish(): void {
    const { count } = this.pdf.bufferedPageRange();
    for (let i = 0; i < count; i++) {
      this.pdf.switchToPage(i);
      this.pdf.page.margins.bottom = 0;
      this.pdf
        .font('plain')
        .fontSize(7.5)
        .fillColor(SECOND)
        .text(`${this.footer}   Page ${i + 1} of ${count}`, MARGIN, 841.89 - 34, {
          width: WIDTH,
          lineBreak: false,
        });
    }
    this.pdf.end();
  }

  /** The finished PDF. */
  bytes(): Promise<Buffer> {
    return this.done;
  }
}
