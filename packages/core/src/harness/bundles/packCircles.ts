import { seededUniform } from '../../numerics/index.ts';

/** Circles packed into a circle around the origin: in the order in which they were given, m. */
export interface PackedCircles {
  readonly radius: number;
  readonly centres: readonly (readonly [x: number, y: number])[];
}

/** A packing on its way: coordinates one after the other, x and y of each circle. */
interface Packing {
  readonly xy: Float64Array;
  readonly radius: number;
}

/** Steps of the shrinking wall: where a share no longer succeeds it is halved, down to the least. */
const FIRST_SHRINK = 0.03;
const LEAST_SHRINK = 0.0015;
const MOST_ROUNDS = 11;
/** Steps of one minimisation, and how many of them are remembered. */
const MOST_STEPS = 90;
const MEMORY = 4;
/** A minimisation of many ends once a step brings less than this share. */
const LEAST_FALL = 2e-3;

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
const HANDFUL = 6;
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

/** Lays circles from a place in the list on into a ring; the place of the first that is left over. */
function filled(
  r: Float64Array,
  from: number,
  far: number,
  turned: number,
  xy: Float64Array | undefined,
): number {
  let angle = turned;
  let next = from;
  for (; next >= 0; next--) {
    const half = Math.asin(Math.min(1, (r[next] as number) / far));
    if (next < from && angle + 2 * half > turned + 2 * Math.PI + 1e-9) break;
    if (xy) {
      xy[2 * next] = far * Math.cos(angle + half);
      xy[2 * next + 1] = far * Math.sin(angle + half);
    }
    angle += 2 * half;
  }
  return next;
}

/** Circles in rings around a middle one, the narrower ones inside. */
function inRings(r: Float64Array): Packing {
  const n = r.length;
  const xy = new Float64Array(2 * n);
  // They come widest first: from the end of the list they fill the middle.
  let next = n - 1;
  let out = r[next--] as number;
  let turned = 0;
  while (next >= 0) {
    // How many lie in the ring decides how wide its widest is, and that how far out it lies.
    const begin = next;
    let widest = r[next] as number;
    for (let tries = 0; tries < 3; tries++) {
      const last = filled(r, begin, out + widest, turned, undefined);
      const most = r[Math.max(0, last + 1)] as number;
      if (most <= widest) break;
      widest = most;
    }
    next = filled(r, begin, out + widest, turned, xy);
    turned += 0.5;
    out += 2 * widest;
  }
  return certified(xy, r);
}

/** Circles one after the other, each where it lies nearest to the middle beside two others. */
function fromMiddle(r: Float64Array): Packing {
  const n = r.length;
  const xy = new Float64Array(2 * n);
  const placed: number[] = [];
  for (let i = 0; i < n; i++) {
    const own = r[i] as number;
    if (placed.length === 0) {
      placed.push(i);
      continue;
    }
    const first = placed[0] as number;
    if (placed.length === 1) {
      xy[2 * i] = (r[first] as number) + own;
      placed.push(i);
      continue;
    }
    let bestX = 0;
    let bestY = 0;
    let least = Infinity;
    for (let a = 0; a < placed.length; a++) {
      const p = placed[a] as number;
      for (let b = 0; b < a; b++) {
        const q = placed[b] as number;
        const da = (r[p] as number) + own;
        const db = (r[q] as number) + own;
        const dx = (xy[2 * q] as number) - (xy[2 * p] as number);
        const dy = (xy[2 * q + 1] as number) - (xy[2 * p + 1] as number);
        const apart = Math.sqrt(dx * dx + dy * dy);
        if (apart > da + db || apart === 0) continue;
        const along = (da * da - db * db + apart * apart) / (2 * apart);
        const aside = Math.sqrt(Math.max(0, da * da - along * along));
        for (const side of [-1, 1]) {
          const x = (xy[2 * p] as number) + (along * dx - side * aside * dy) / apart;
          const y = (xy[2 * p + 1] as number) + (along * dy + side * aside * dx) / apart;
          const far = x * x + y * y;
          if (far >= least - 1e-12) continue;
          if (!isFree(x, y, own, placed, xy, r)) continue;
          least = far;
          bestX = x;
          bestY = y;
        }
      }
    }
    xy[2 * i] = bestX;
    xy[2 * i + 1] = bestY;
    placed.push(i);
  }
  return certified(centred(xy, r), r);
}

function isFree(
  x: number,
  y: number,
  own: number,
  placed: readonly number[],
  xy: Float64Array,
  r: Float64Array,
): boolean {
  for (const k of placed) {
    const dx = (xy[2 * k] as number) - x;
    const dy = (xy[2 * k + 1] as number) - y;
    const least = (r[k] as number) + own - 1e-9;
    if (dx * dx + dy * dy < least * least) return false;
  }
  return true;
}

/** Circles along a spiral, each a turn further. */
function onSpiral(r: Float64Array, turn: number): Packing {
  const xy = new Float64Array(2 * r.length);
  let area = 0;
  r.forEach((own, i) => {
    const far = Math.sqrt(area);
    xy[2 * i] = far * Math.cos(i * turn);
    xy[2 * i + 1] = far * Math.sin(i * turn);
    area += own * own * 1.3;
  });
  return certified(xy, r);
}

/** Moved so that the wall around all is as narrow as it gets by moving alone. */
function centred(xy: Float64Array, r: Float64Array): Float64Array {
  let cx = 0;
  let cy = 0;
  // Steps towards whatever sticks out most, ever shorter, end in the middle of the least circle.
  for (let step = 1; step <= 200; step++) {
    let most = -Infinity;
    let at = 0;
    for (let i = 0; i < r.length; i++) {
      const dx = (xy[2 * i] as number) - cx;
      const dy = (xy[2 * i + 1] as number) - cy;
      const out = Math.sqrt(dx * dx + dy * dy) + (r[i] as number);
      if (out > most) {
        most = out;
        at = i;
      }
    }
    cx += ((xy[2 * at] as number) - cx) / (step + 1);
    cy += ((xy[2 * at + 1] as number) - cy) / (step + 1);
  }
  return xy.map((value, i) => value - (i % 2 === 0 ? cx : cy));
}

/** A packing without any overlap: moved apart as far as the worst overlap asks. */
function certified(xy: Float64Array, r: Float64Array): Packing {
  const n = r.length;
  let spread = 0;
  for (let i = 0; i < n; i++) {
    for (let j = 0; j < i; j++) {
      const dx = (xy[2 * i] as number) - (xy[2 * j] as number);
      const dy = (xy[2 * i + 1] as number) - (xy[2 * j + 1] as number);
      const ask = ((r[i] as number) + (r[j] as number)) ** 2 / Math.max(1e-12, dx * dx + dy * dy);
      if (ask > spread) spread = ask;
    }
  }
  const scale = Math.sqrt(spread) * (1 + 1e-12);
  const apart = xy.map((value) => value * scale);
  let radius = 0;
  for (let i = 0; i < n; i++) {
    const out = Math.hypot(apart[2 * i] as number, apart[2 * i + 1] as number) + (r[i] as number);
    if (out > radius) radius = out;
  }
  return { xy: apart, radius };
}

/** Draws a packing together: a wall that shrinks pushes its circles until they no longer give way. */
function drawnTogether(start: Packing, r: Float64Array): Packing {
  let found = start;
  let shrink = FIRST_SHRINK;
  let from = start.xy;
  for (let round = 0; round < MOST_ROUNDS && shrink >= LEAST_SHRINK; round++) {
    const pushed = pushedApart(from, r, found.radius * (1 - shrink));
    const next = certified(pushed, r);
    if (next.radius < found.radius * (1 - shrink / 8)) {
      found = next;
      from = pushed;
    } else {
      shrink /= 2;
      from = found.xy;
    }
  }
  return found;
}

/** Circles further apart than this, beyond touching, are not looked at until some have moved. */
const SKIN = 0.5;

/** Pairs that touch or may do so soon: one after the other in a list. */
function pairsNear(xy: Float64Array, r: Float64Array): Int32Array {
  const pairs: number[] = [];
  for (let i = 0; i < r.length; i++) {
    const xi = xy[2 * i] as number;
    const yi = xy[2 * i + 1] as number;
    for (let j = 0; j < i; j++) {
      const reach = (r[i] as number) + (r[j] as number) + SKIN;
      const dx = xi - (xy[2 * j] as number);
      if (dx >= reach || dx <= -reach) continue;
      const dy = yi - (xy[2 * j + 1] as number);
      if (dx * dx + dy * dy < reach * reach) pairs.push(i, j);
    }
  }
  return Int32Array.from(pairs);
}

/** Whether a circle has moved so far that another may touch it which was not looked at. */
function movedFar(xy: Float64Array, since: Float64Array): boolean {
  for (let i = 0; i < xy.length; i += 2) {
    const dx = (xy[i] as number) - (since[i] as number);
    const dy = (xy[i + 1] as number) - (since[i + 1] as number);
    if (dx * dx + dy * dy > (SKIN / 2) ** 2) return true;
  }
  return false;
}

/** Overlaps of a packing in a wall, squared and summed, and how they change with each coordinate. */
function overlap(
  xy: Float64Array,
  r: Float64Array,
  wall: number,
  pairs: Int32Array,
  slope: Float64Array,
): number {
  let energy = 0;
  slope.fill(0);
  for (let i = 0; i < r.length; i++) {
    const xi = xy[2 * i] as number;
    const yi = xy[2 * i + 1] as number;
    const far = Math.sqrt(xi * xi + yi * yi);
    const out = far + (r[i] as number) - wall;
    if (out <= 0) continue;
    energy += out * out;
    if (far === 0) continue;
    slope[2 * i] = (slope[2 * i] as number) + (2 * out * xi) / far;
    slope[2 * i + 1] = (slope[2 * i + 1] as number) + (2 * out * yi) / far;
  }
  for (let k = 0; k < pairs.length; k += 2) {
    const i = 2 * (pairs[k] as number);
    const j = 2 * (pairs[k + 1] as number);
    const dx = (xy[i] as number) - (xy[j] as number);
    const dy = (xy[i + 1] as number) - (xy[j + 1] as number);
    const reach = (r[i >> 1] as number) + (r[j >> 1] as number);
    const square = dx * dx + dy * dy;
    if (square >= reach * reach) continue;
    const apart = Math.sqrt(square);
    const deep = reach - apart;
    energy += deep * deep;
    // Two in one place are pushed apart sideways.
    const ux = apart > 0 ? (2 * deep * dx) / apart : 2 * deep;
    const uy = apart > 0 ? (2 * deep * dy) / apart : 0;
    slope[i] = (slope[i] as number) - ux;
    slope[i + 1] = (slope[i + 1] as number) - uy;
    slope[j] = (slope[j] as number) + ux;
    slope[j + 1] = (slope[j + 1] as number) + uy;
  }
  return energy;
}

const dot = (a: Float64Array, b: Float64Array): number => {
  let sum = 0;
  for (let i = 0; i < a.length; i++) sum += (a[i] as number) * (b[i] as number);
  return sum;
};

/** Circles moved so that they overlap least within a wall: a limited-memory quasi-Newton descent. */
function pushedApart(from: Float64Array, r: Float64Array, wall: number): Float64Array {
  const size = from.length;
  let xy = from.slice();
  let slope = new Float64Array(size);
  let pairs = pairsNear(xy, r);
  let since = xy;
  let energy = overlap(xy, r, wall, pairs, slope);
  const moves: { readonly s: Float64Array; readonly y: Float64Array; readonly rho: number }[] = [];
  for (let step = 0; step < MOST_STEPS && energy > 1e-14; step++) {
    const way = descent(slope, moves);
    const fall = dot(way, slope);
    if (fall >= 0) break;
    let share = moves.length === 0 ? Math.min(1, 0.25 / Math.sqrt(dot(way, way))) : 1;
    const next = new Float64Array(size);
    const nextSlope = new Float64Array(size);
    let nextEnergy = Infinity;
    for (let tries = 0; tries < 20; tries++) {
      for (let i = 0; i < size; i++) next[i] = (xy[i] as number) + share * (way[i] as number);
      nextEnergy = overlap(next, r, wall, pairs, nextSlope);
      if (nextEnergy <= energy + 1e-4 * share * fall) break;
      share /= 2;
    }
    if (nextEnergy >= energy * (1 - (r.length <= HANDFUL ? 1e-6 : LEAST_FALL))) break;
    const s = new Float64Array(size);
    const y = new Float64Array(size);
    for (let i = 0; i < size; i++) {
      s[i] = (next[i] as number) - (xy[i] as number);
      y[i] = (nextSlope[i] as number) - (slope[i] as number);
    }
    const curved = dot(s, y);
    if (curved > 1e-18) {
      moves.push({ s, y, rho: 1 / curved });
      if (moves.length > MEMORY) moves.shift();
    }
    xy = next;
    slope = nextSlope;
    energy = nextEnergy;
    if (movedFar(xy, since)) {
      pairs = pairsNear(xy, r);
      since = xy;
      energy = overlap(xy, r, wall, pairs, slope);
    }
  }
  return xy;
}

/** The direction of the next step from the slope and what the last steps found. */
function descent(
  slope: Float64Array,
  moves: readonly { readonly s: Float64Array; readonly y: Float64Array; readonly rho: number }[],
): Float64Array {
  const way = slope.map((value) => -value);
  const shares: number[] = [];
  for (let k = moves.length - 1; k >= 0; k--) {
    const { s, y, rho } = moves[k] as (typeof moves)[number];
    const share = rho * dot(s, way);
    shares[k] = share;
    for (let i = 0; i < way.length; i++) way[i] = (way[i] as number) - share * (y[i] as number);
  }
  const last = moves.at(-1);
  const scale = last ? dot(last.s, last.y) / dot(last.y, last.y) : 1;
  for (let i = 0; i < way.length; i++) way[i] = (way[i] as number) * scale;
  moves.forEach(({ s, y, rho }, k) => {
    const share = (shares[k] ?? 0) - rho * dot(y, way);
    for (let i = 0; i < way.length; i++) way[i] = (way[i] as number) + share * (s[i] as number);
  });
  return way;
}
