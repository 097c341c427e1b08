import {
  type ReadsIn,
  formatFigure,
  fromSI,
  inNumberFormat,
  numbersOf,
  systemOf,
} from '../../quantities/index.ts';
import type { ToolNeed } from './seatWork.ts';

/** A drill's diameter as drills are sold: to a tenth of a millimetre, or a thousandth of an inch. */
export function drillInWords(diameter: number, reads: ReadsIn): string {
  const numbers = numbersOf(reads);
  const [unit, decimals] = systemOf(reads) === 'us' ? (['in', 3] as const) : (['mm', 1] as const);
  const value = formatFigure(fromSI(diameter, 'length', unit), 9, decimals);
  return `${inNumberFormat(value, numbers)} ${unit}`;
}

/** A drill by its diameter, a tap by its thread. */
export const toolInWords = (
  { tool, diameter, thread }: Pick<ToolNeed, 'tool' | 'diameter' | 'thread'>,
  reads: ReadsIn,
): string =>
  tool === 'tap' ? `Tap ${thread}` : `Tapping drill ${drillInWords(diameter, reads)} for ${thread}`;
