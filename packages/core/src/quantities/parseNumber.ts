import type { NumberFormat } from './displayUnits.ts';

/**
 * Reads a number as people type it: decimal point or comma, spaces or apostrophes between
 * thousands, a proper minus sign. Returns undefined for anything else.
 */
export function parseNumber(text: string): number | undefined {
  let t = text.trim().replace(/[\u2212\u2013]/g, '-');
  t = t.replace(/(\d)[\s\u00a0\u202f\u2009'’](?=\d{3}(?!\d))/g, '$1');
  const lastComma = t.lastIndexOf(',');
  const lastPoint = t.lastIndexOf('.');
  if (lastComma >= 0 && lastPoint >= 0) {
    const thousands = lastComma > lastPoint ? '.' : ',';
    t = t.split(thousands).join('');
  } else if (/^[+-]?\d{1,3}([.,])\d{3}(\1\d{3})+$/.test(t)) {
    t = t.replace(/[.,]/g, '');
  }
  t = t.replace(',', '.');
  if (!/^[+-]?(\d+\.?\d*|\.\d+)(e[+-]?\d+)?$/i.test(t)) return undefined;
  const value = Number(t);
  return Number.isFinite(value) ? value : undefined;
}

/** Both readings of a number whose only mark may stand before decimals or between thousands. */
export interface TwoReadings {
  readonly decimal: string;
  readonly thousands: string;
}

/** Which mark can be either, for a reader of each number format. */
const doubtfulMark: Record<NumberFormat, '.' | ',' | undefined> = {
  'space-point': ',',
  'space-comma': undefined,
  'comma-point': ',',
  'point-comma': '.',
};

/**
 * "1,000" is one for some and a thousand for others: both readings, where the reader's own format
 * does not settle it. "0,850" and "12,5" are in no doubt.
 */
export function twoReadings(text: string, numbers: NumberFormat): TwoReadings | undefined {
  const match = /^[+\-\u2212\u2013]?([1-9]\d{0,2})([.,])(\d{3})$/.exec(text.trim());
  if (!match || match[2] !== doubtfulMark[numbers]) return undefined;
  return {
    decimal: `${match[1]}${match[2] === ',' ? '.' : ','}${match[3]}`,
    thousands: `${match[1]}${match[3]}`,
  };
}
