import PdfDocument from 'pdfkit';
import { paperFonts } from './paperFonts.ts';
import { paperText } from './paperText.ts';

/** What a foot says where words of another script stand on a paper. */
export const LATINISED = '‹ ›: typed in another script';

/** A PDF on which every text stands as its fonts can set it. */
export class PaperPdf extends PdfDocument {
  /** whether any text was written in Latin letters that was typed in others */
  isLatinised = false;
  private readonly chunks: Buffer[] = [];
  private readonly done: Promise<Buffer>;

  constructor(options: PDFKit.PDFDocumentOptions & { readonly title?: string }) {
    const { title, ...rest } = options;
    super({
      ...rest,
      font: paperFonts.plain,
      info: { Title: title ?? '', Producer: 'Brookrain', Creator: 'Brookrain' },
    });
    this.done = new Promise((resolve) => {
      this.on('data', (chunk: Buffer) => this.chunks.push(chunk));
      this.on('end', () => resolve(Buffer.concat(this.chunks)));
    });
  }

  private set(text: string): string {
    const written = paperText(text);
    if (written !== text) this.isLatinised = true;
    return written;
  }

  override text(text: string, options?: PDFKit.Mixins.TextOptions): this;
  override text(text: string, x?: number, y?: number, options?: PDFKit.Mixins.TextOptions): this;
  override text(
    text: string,
    x?: number | PDFKit.Mixins.TextOptions,
    y?: number,
    options?: PDFKit.Mixins.TextOptions,
  ): this {
    const written = this.set(text);
    return typeof x === 'object' ? super.text(written, x) : super.text(written, x, y, options);
  }

  override widthOfString(text: string, options?: PDFKit.Mixins.TextOptions): number {
    return super.widthOfString(this.set(text), options);
  }

  override heightOfString(text: string, options?: PDFKit.Mixins.TextOptions): number {
    return super.heightOfString(this.set(text), options);
  }

  /** The finished PDF. */
  bytes(): Promise<Buffer> {
    return this.done;
  }
}
