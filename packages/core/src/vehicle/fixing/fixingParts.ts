import {
  type Catalogue,
  type FastenerForm,
  type FastenerItem,
  newestOf,
} from '../../catalogue/index.ts';
import { boltData } from './boltData.ts';
import type { FixingDesign, FixingWanted } from './fixingDesign.ts';

/** A part that a fixing takes; without an item the catalogue has none. */
export interface FixingPart {
  readonly item: FastenerItem | undefined;
  readonly words: string;
  readonly count: number;
}

const alike = (a: number, b: number): boolean => Math.abs(a - b) < 1e-6;
/** A strap closes with so much left over, m. */
const STRAP_LEFT = 0.15;

/** The fastener of a form and thread that is no shorter than asked: the shortest of them. */
function fastenerFor(
  catalogue: Catalogue,
  asked: {
    readonly form: FastenerForm;
    readonly thread: number | null;
    readonly length: number;
  },
): FastenerItem | undefined {
  return newestOf(catalogue, 'fastener')
    .filter(
      ({ form, thread, length }) =>
        form === asked.form &&
        (asked.thread === null || alike(thread, asked.thread)) &&
        length >= asked.length - 1e-6,
    )
    .sort((a, b) => a.length - b.length)[0];
}

/** What is to be bought to hold a part, but for its plate. */
export function fixingParts(
  { bolt, bolts, means, rubber, standoff, size }: FixingWanted,
  { boltLength }: FixingDesign,
  catalogue: Catalogue,
): FixingPart[] {
  const { thread } = boltData[bolt];
  const mm = (metres: number): string => `${Math.round(metres * 1e3)} mm`;
  const of = (
    form: FastenerForm,
    words: string,
    count: number,
    length = 0,
    ofThread: number | null = thread,
  ): FixingPart => ({
    item: fastenerFor(catalogue, { form, thread: ofThread, length }),
    words,
    count,
  });
  const [, wide, high] = size;
  const thick = Math.max(wide, high);
  const around = 2 * (wide + high) + STRAP_LEFT;
  return [
    of('bolt', `Bolt ${bolt}, ${mm(boltLength)}`, bolts, boltLength),
    of('washer', `Washer ${bolt}`, 2 * bolts),
    of('locking nut', `Locking nut ${bolt}`, bolts),
    ...(rubber ? [of('rubber mount', `Rubber mount ${bolt}`, bolts)] : []),
    ...(standoff > 0 && means !== 'bracket' && !rubber
      ? [of('spacer', `Spacer ${mm(standoff)}`, bolts, standoff)]
      : []),
    ...(means === 'clamps' || (means === 'bracket' && alike(wide, high))
      ? [of('lined clamp', `Lined clamp ${mm(thick)}`, 2, thick, null)]
      : []),
    ...(means === 'tray' ? [of('strap', `Strap ${mm(around)}`, 1, around, null)] : []),
  ];
}
