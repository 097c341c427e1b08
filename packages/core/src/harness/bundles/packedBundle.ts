import { memoOfText } from '../../numerics/index.ts';
import { type PackedCircles, packCircles } from './packCircles.ts';

/** Packings that are remembered: a drag leaves most bundles as they are. */
const MOST = 400;

const packedText = memoOfText(
  (diameters: string): PackedCircles =>
    packCircles(diameters === '' ? [] : diameters.split(' ').map((d) => Number(d) / 2), 'quick'),
  MOST,
);

/**
 * Wires of some outside diameters m packed into a bundle, widest first. The same wires give the
 * same bundle in whatever order they come.
 */
const packedSorted = (diameters: readonly number[]): PackedCircles =>
  packedText(diameters.join(' '));

const widestFirst = (diameters: readonly number[]): number[] =>
  [...diameters].sort((a, b) => b - a);

/** The least circle found around wires of some outside diameters, m across; 0 of none. */
export const packedDiameter = (diameters: readonly number[]): number =>
  2 * packedSorted(widestFirst(diameters)).radius;

/** A bundle as it is drawn: its radius m, and the middle of every wire in the order given. */
export function packedBundle(diameters: readonly number[]): PackedCircles {
  const order = diameters.map((_, i) => i);
  order.sort((a, b) => (diameters[b] ?? 0) - (diameters[a] ?? 0) || a - b);
  const { radius, centres } = packedSorted(widestFirst(diameters));
  const placed: (readonly [number, number])[] = [...centres];
  order.forEach((at, i) => (placed[at] = centres[i] ?? [0, 0]));
  return { radius, centres: placed };
}
