import { fromSI } from './convert.ts';
import { type ReadsIn, numbersOf, systemOf } from './displayUnits.ts';
import { formatFigure, inNumberFormat } from './formatQuantity.ts';

/** A length m as it is marked at the bench: whole millimetres, or inches to a sixteenth’s worth. */
export function benchLength(value: number, reads: ReadsIn): string {
  const numbers = numbersOf(reads);
  return systemOf(reads) === 'us'
    ? `${inNumberFormat(formatFigure(fromSI(value, 'length', 'in'), 9, 2), numbers)} in`
    : `${inNumberFormat(formatFigure(Math.round(fromSI(value, 'length', 'mm')), 9, 0), numbers)} mm`;
}
