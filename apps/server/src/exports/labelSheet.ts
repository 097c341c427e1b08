import type { LabelLine } from '@brookrain/core';
import QrCode from 'qrcode';
import { paperFonts } from './paperFonts.ts';
import { PaperPdf } from './paperPdf.ts';
import { sheetColours } from './sheetPage.ts';

const POINTS_A_MM = 72 / 25.4;
/** A4, and the labels on it, mm: one wraps round a wire and itself. */
const SHEET = [210, 297] as const;
const EDGE = 10;
const LABEL = { across: 47.5, down: 13.8 } as const;
const CODE = 11;

/** The dark fields of a QR code, row by row. */
function fieldsOf(text: string): { readonly size: number; readonly dark: (i: number) => boolean } {
  const { modules } = QrCode.create(text, { errorCorrectionLevel: 'M' });
  return { size: modules.size, dark: (i) => Boolean(modules.data[i]) };
}

/**
 * The page on which the part at the end of a wire is told: a device has one; of a splice, a stud or a
 * wire that was found the wires that end there are shown.
 */
export const labelAddress = (
  build: string,
  devices: Readonly<Record<string, unknown>>,
  partId: string,
): string =>
  `${build}/${Object.hasOwn(devices, partId) ? 'devices?of' : 'wires?part'}=${encodeURIComponent(partId)}`;

/** Labels for both ends of every wire: its number, where it leads, and a code that opens the page of its device. */
export async function labelSheet(input: {
  readonly title: string;
  readonly labels: readonly LabelLine[];
  /** address of the page of a part */
  readonly addressOf: (partId: string) => string;
}): Promise<Buffer> {
  const pdf = new PaperPdf({ title: input.title, autoFirstPage: false, margin: 0 });
  const across = Math.floor((SHEET[0] - 2 * EDGE) / LABEL.across);
  const down = Math.floor((SHEET[1] - 2 * EDGE) / LABEL.down);
  const codes = new Map<string, ReturnType<typeof fieldsOf>>();
  input.labels.forEach((label, i) => {
    const at = i % (across * down);
    if (at === 0) {
      pdf.addPage({ size: SHEET.map((mm) => mm * POINTS_A_MM) as [number, number], margin: 0 });
    }
    const left = EDGE + (at % across) * LABEL.across;
    const top = EDGE + Math.floor(at / across) * LABEL.down;
    const address = input.addressOf(label.partId);
    const code = codes.get(address) ?? fieldsOf(address);
    codes.set(address, code);
    pdf.save().scale(POINTS_A_MM).translate(left, top);
    pdf.lineWidth(0.1).strokeColor(sheetColours.line).rect(0, 0, LABEL.across, LABEL.down).stroke();
    const field = CODE / code.size;
    for (let k = 0; k < code.size ** 2; k += 1) {
      if (!code.dark(k)) continue;
      pdf.rect(
        1.4 + (k % code.size) * field,
        1.4 + Math.floor(k / code.size) * field,
        field,
        field,
      );
    }
    pdf.fill('#000000');
    const room = { width: LABEL.across - CODE - 4, height: 3.4, ellipsis: true, lineBreak: false };
    const x = CODE + 3;
    pdf.fillColor(sheetColours.ink).font(paperFonts.bold).fontSize(4.6);
    pdf.text(`${label.wire}`, x, 1, { lineBreak: false });
    pdf.font(paperFonts.plain).fontSize(2.3);
    pdf.fontSize(2.05).text(`${label.size} ${label.colour}`, x + 9.5, 2.8, {
      ...room,
      width: room.width - 9.5,
    });
    pdf.fontSize(2.3);
    pdf.text(label.at, x, 6.4, room).text(`to ${label.leadsTo}`, x, 9.6, room);
    pdf.restore();
  });
  if (input.labels.length === 0) pdf.addPage({ size: 'A4' });
  pdf.end();
  return pdf.bytes();
}
