import anyAscii from 'any-ascii';
import { openSync } from 'fontkit';
import { paperFonts } from './paperFonts.ts';

/** Scripts that are written from right to left, or whose letters change their order: not drawn. */
const UNDRAWN =
  /[\p{Script=Hebrew}\p{Script=Arabic}\p{Script=Syriac}\p{Script=Thaana}\p{Script=Nko}\p{Script=Thai}\p{Script=Lao}\p{Script=Devanagari}\p{Script=Bengali}\p{Script=Tamil}\p{Script=Khmer}\p{Script=Myanmar}]/u;
/** What both fonts are known to have, without asking them. */
const PLAIN = /^[\t\n\r\u0020-\u017e\u2013\u2014\u2018-\u201e\u2022\u2026]*$/;

/** Signs that stand for nothing one sees. */
const UNSEEN = /[^\x20-\x7e]/g;

const graphemes = new Intl.Segmenter(undefined, { granularity: 'grapheme' });
const drawn = new Map<string, boolean>();
let fonts: readonly { hasGlyphForCodePoint(codePoint: number): boolean }[] | undefined;

/** Whether the fonts of papers have all of a letter, and can set it where it belongs. */
function isDrawn(letter: string): boolean {
  const known = drawn.get(letter);
  if (known !== undefined) return known;
  fonts ??= Object.values(paperFonts).map((file) => {
    const font = openSync(file);
    if (!('hasGlyphForCodePoint' in font)) throw new Error(`${file} is no single font`);
    return font;
  });
  const asked = fonts;
  const is =
    !UNDRAWN.test(letter) &&
    [...letter].every((sign) =>
      asked.every((font) => font.hasGlyphForCodePoint(sign.codePointAt(0) ?? 0)),
    );
  drawn.set(letter, is);
  return is;
}

/** Letters of another script in Latin ones; what nobody writes in them is told by a question mark. */
function latin(foreign: string): string {
  const written = anyAscii(foreign).replace(UNSEEN, '').trim();
  return written === '' ? '?' : written;
}

/**
 * A text as it can stand on paper: words in a script that the fonts cannot set are written in Latin
 * letters, between ‹ and ›.
 */
export function paperText(text: string): string {
  if (PLAIN.test(text)) return text;
  let written = '';
  let foreign = '';
  /** spaces after foreign letters: they belong to them if more of such follow */
  let between = '';
  const close = (): void => {
    if (foreign !== '') written += `‹${latin(foreign)}›`;
    written += between;
    foreign = '';
    between = '';
  };
  for (const { segment } of graphemes.segment(text)) {
    if (/^[\t\n\r]$/.test(segment) || (segment !== ' ' && isDrawn(segment))) {
      close();
      written += segment;
    } else if (segment === ' ') {
      if (foreign === '') written += segment;
      else between += segment;
    } else {
      foreign += between + segment;
      between = '';
    }
  }
  close();
  return written;
}
