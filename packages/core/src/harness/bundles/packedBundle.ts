import { type PackedCircles, packCircles } from './packCircles.ts';

/** Packings that are kept: a drag leaves most bundles as they are. */
const MOST = 400;
const known = new Map<string, PackedCircles>();

/**
 * Wires of some outside diameters m packed into a bundle, widest first. The same wires give the
 * same bundle in whatever order they come.
 */
function packedSorted(diameters: readonly number[]): PackedCircles {
  const key = diameters.join(' ');
  const last = known.get(key);
  if (last) return last;
  const packed = packCircles(
    diameters.map((d) => d / 2),
    'quick',
  );
  if (known.size >= MOST) known.clear();
  known.set(key, packed);
  return packed;
}

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
