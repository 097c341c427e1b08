import type { BuildReply } from '@brookrain/contract';
import { lantern } from '@brookrain/core';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { footOf } from './paper.ts';
import { LATINISED, PaperPdf } from './paperPdf.ts';
import { paperText } from './paperText.ts';

describe('texts on paper', () => {
  test.each([
    ['Škoda Ω 5 µm − Ø 6,5 × 2', 'Škoda Ω 5 µm − Ø 6,5 × 2'],
    ['Двигатель', 'Двигатель'],
    ['张伟 的车', '‹ZhangWei DeChe›'],
    ['Bus 🔧 blue', 'Bus ‹:wrench:› blue'],
    ['שלום', '‹slvm›'],
    ['رحبا pump', '‹rhb› pump'],
    ['', ''],
  ])('"%s" is written "%s"', (typed, written) => {
    expect(paperText(typed)).toBe(written);
  });

  test('whatever is typed, only what the fonts have is left, and written again it stays', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary', maxLength: 40 }), (typed) => {
        const written = paperText(typed);
        expect(paperText(written)).toBe(written);
        expect(written).not.toMatch(/[\p{Script=Han}\p{Script=Thai}\p{Script=Arabic}]/u);
      }),
      { numRuns: 500 },
    );
  });

  test('plain text is as it was', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme-ascii' }), (typed) => {
        expect(paperText(typed)).toBe(typed);
      }),
    );
  });

  test('a long title runs on to further lines, and the foot stays on one', () => {
    const width = 515;
    const pdf = new PaperPdf({ size: 'A4' });
    const lines = (text: string, size: number): number => {
      pdf.fontSize(size);
      return Math.round(pdf.heightOfString(text, { width }) / pdf.heightOfString('W', { width }));
    };
    expect(lines('W'.repeat(80), 17)).toBeGreaterThan(1);
    expect(lines('Long van '.repeat(9), 17)).toBeGreaterThan(1);
    const build = { revision: 6000, document: { ...lantern, name: 'W'.repeat(80) } };
    const foot = `${footOf(build as BuildReply)}   Page 10 of 12   ${LATINISED}`;
    expect(pdf.fontSize(7.5).widthOfString(foot)).toBeLessThan(width);
  });

  test('a paper knows whether anything on it was written so', () => {
    const plain = new PaperPdf({ size: 'A4' });
    plain.text('Lantern');
    expect(plain.isLatinised).toBe(false);
    const other = new PaperPdf({ size: 'A4' });
    other.text('提灯 pump');
    expect(other.isLatinised).toBe(true);
  });
});
