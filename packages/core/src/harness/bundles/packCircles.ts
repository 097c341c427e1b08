import { seededUniform } from '../../numerics/index.ts';
import { HANDFUL, drawnTogether, pushedApart } from './drawnTogether.ts';
import { type Packing, certified, fromMiddle, inRings, onSpiral } from './firstPackings.ts';

/** Circles packed into a circle around the origin: in the order in which they were given, m. */
export interface PackedCircles {
  readonly radius: number;
  readonly centres: readonly (readonly [x: number, y: number])[];
}

/** How long a packing is looked for: once from the middle, or from many beginnings. */
export type PackingEffort = 'quick' | 'thorough';

/**
 * The circle that holds all of them without an overlap: a packing from the middle outwards, then
 * drawn together by a wall that shrinks. The same circles always give the same packing.
 */
export function packCircles(
  radii: readonly number[],
  effort: PackingEffort = 'thorough',
): PackedCircles {
  const [only, second] = radii;
  if (only === undefined) return { radius: 0, centres: [] };
  if (radii.some((r) => !(r > 0) || !Number.isFinite(r))) {
    throw new RangeError('a circle to pack needs a radius above zero');
  }
  if (second === undefined) return { radius: only, centres: [[0, 0]] };
  // Worked out for circles of about 1: tolerances mean the same for a hair and a hawser.
  const unit = Math.max(...radii);
  const order = radii.map((_, i) => i).sort((a, b) => (radii[b] ?? 0) - (radii[a] ?? 0) || a - b);
  const r = Float64Array.from(order, (i) => (radii[i] ?? 0) / unit);
  const packed = best(r, effort);
  const centres: [number, number][] = radii.map(() => [0, 0]);
  order.forEach((at, i) => {
    centres[at] = [(packed.xy[2 * i] ?? 0) * unit, (packed.xy[2 * i + 1] ?? 0) * unit];
  });
  return { radius: packed.radius * unit, centres };
}

/** A quick packing begins in several ways only for few, and in all ways for a handful. */
const FEW = 20;
/** Shaken so often and so far, in widest circles, while that finds better ones. */
const SHAKES = 24;
const SHAKEN_BY = 0.8;

function best(r: Float64Array, effort: PackingEffort): Packing {
  if (r.length === 2) {
    const [a, b] = [r[0] as number, r[1] as number];
    return { xy: Float64Array.from([-b, 0, a, 0]), radius: a + b };
  }
  // Alike ones lie better in rings, unlike ones from the middle outwards.
  const alike = (r[r.length - 1] as number) > 0.75;
  const one = effort === 'quick' && r.length > FEW;
  const starts = one ? [alike ? inRings(r) : fromMiddle(r)] : [fromMiddle(r), inRings(r)];
  if (effort === 'thorough' || r.length <= HANDFUL) {
    starts.push(onSpiral(r, 2.399963), onSpiral(r, 1.2));
  }
  let found: Packing | undefined;
  for (const start of starts) {
    const drawn = drawnTogether(start, r);
    if (!found || drawn.radius < found.radius) found = drawn;
  }
  const packed = found as Packing;
  return effort === 'quick' ? packed : shaken(packed, r);
}

/**
 * A packing shaken, or with circles of different width exchanged, and drawn together again; kept
 * where it got narrower.
 */
function shaken(start: Packing, r: Float64Array): Packing {
  const uniform = seededUniform(r.length);
  const alike = (r[r.length - 1] as number) > 0.999;
  let found = start;
  const times = Math.max(2, Math.round((SHAKES * 24) / (12 + r.length)));
  for (let k = 0; k < times; k++) {
    const far = SHAKEN_BY * (0.3 + 0.7 * uniform());
    const xy =
      alike || k % 3 === 0 ? shakenBy(found.xy, far, uniform) : swapped(found.xy, r, uniform);
    const drawn = drawnTogether(certified(pushedApart(xy, r, found.radius * 0.98), r), r);
    if (drawn.radius < found.radius) found = drawn;
  }
  return found;
}

const shakenBy = (xy: Float64Array, far: number, uniform: () => number): Float64Array =>
  xy.map((value) => value + far * (2 * uniform() - 1));

/** One or two pairs of circles that are not alike, each in the place of the other. */
function swapped(xy: Float64Array, r: Float64Array, uniform: () => number): Float64Array {
  const next = xy.slice();
  const pairs = uniform() < 0.5 ? 1 : 2;
  for (let k = 0; k < pairs; k++) {
    const i = Math.floor(uniform() * r.length);
    // Neighbours in width are exchanged more often: they fit where the other was.
    const off = 1 + Math.floor(uniform() * Math.min(4, r.length - 1));
    const j = (i + off) % r.length;
    for (const axis of [0, 1]) {
      const kept = next[2 * i + axis] as number;
      next[2 * i + axis] = next[2 * j + axis] as number;
      next[2 * j + axis] = kept;
    }
  }
  return next;
}
