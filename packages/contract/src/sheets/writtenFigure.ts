import { type UnitKind, fromSI, parseQuantity } from '@brookrain/core';

/** The shortest figure that reads back as the same SI value to twelve digits. */
export function writtenFigure(value: number, kind: UnitKind, unit: string): string {
  const typed = fromSI(value, kind, unit);
  for (let digits = 6; digits <= 17; digits++) {
    const text = Number(typed.toPrecision(digits)).toString();
    const back = parseQuantity({ text, kind, defaultUnit: unit, stated: true });
    if (back.ok && Math.abs(back.quantity.value - value) <= 1e-12 * Math.abs(value)) return text;
  }
  return String(typed);
}
