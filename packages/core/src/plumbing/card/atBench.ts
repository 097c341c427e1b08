import { type ReadsIn, benchLength } from '../../quantities/index.ts';
import { type Measure, formatMeasure } from '../../results/index.ts';
import type { CardStep } from './workCard.ts';

/** A number of a work card: lengths in whole millimetres, all else as it is read elsewhere. */
export const atBench = (measure: Measure, reads: ReadsIn): string =>
  measure.kind === 'length' ? benchLength(measure.value, reads) : formatMeasure(measure, reads, 3);

/** The words of a step with its numbers in the reader’s units. */
export const stepInWords = ({ text, numbers }: CardStep, reads: ReadsIn): string =>
  text.replaceAll(/\{(\w+)\}/g, (_, name: string) => {
    const measure = numbers[name];
    return measure ? atBench(measure, reads) : '…';
  });
