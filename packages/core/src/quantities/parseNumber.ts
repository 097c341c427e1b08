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
  }
  t = t.replace(',', '.');
  if (!/^[+-]?(\d+\.?\d*|\.\d+)(e[+-]?\d+)?$/i.test(t)) return undefined;
  const value = Number(t);
  return Number.isFinite(value) ? value : undefined;
}
