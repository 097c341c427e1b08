import { type Packing, certified } from './firstPackings.ts';

/** Steps of the shrinking wall: where a share no longer succeeds it is halved, down to the least. */
const FIRST_SHRINK = 0.03;
const LEAST_SHRINK = 0.0015;
const MOST_ROUNDS = 11;
/** Steps of one minimisation, and how many of them are remembered. */
const MOST_STEPS = 90;
const MEMORY = 4;
/** A minimisation of many ends once a step brings less than this share. */
const LEAST_FALL = 2e-3;

/** So few are brought to rest exactly. */
export const HANDFUL = 6;

/** Draws a packing together: a wall that shrinks pushes its circles until they no longer give way. */
export function drawnTogether(start: Packing, r: Float64Array): Packing {
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
export function pushedApart(from: Float64Array, r: Float64Array, wall: number): Float64Array {
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
