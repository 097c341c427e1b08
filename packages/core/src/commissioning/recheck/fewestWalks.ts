import { seededUniform } from '../../numerics/index.ts';

/** Two places between which something is tried: a probe is at each of them. */
export interface PlacePair {
  readonly places: readonly [string, string];
}

/** So often an order that cannot be bettered by a step is shaken, and bettered again. */
const SHAKES = 24;
const SEED = 11;
/** Runs of so many stops are put elsewhere as one. */
const LONGEST_RUN = 3;

/** How many probes are taken elsewhere from one stop to the next. */
export const probesMoved = (from: PlacePair | undefined, to: PlacePair): number =>
  new Set(to.places.filter((place) => !from?.places.includes(place))).size;

/** So many probes are taken elsewhere in this order, the two that go to the first stop with them. */
export const walksOf = (order: readonly PlacePair[]): number =>
  order.reduce((all, stop, i) => all + probesMoved(order[i - 1], stop), 0);

/**
 * No order takes fewer: each stop is another than the last, and where nothing joins two groups of
 * places both probes go.
 */
export function leastWalks(pairs: readonly PlacePair[]): number {
  const groupOf = new Map<string, string>();
  const top = (place: string): string => {
    const up = groupOf.get(place) ?? place;
    return up === place ? place : top(up);
  };
  for (const { places } of pairs) {
    for (const place of places) if (!groupOf.has(place)) groupOf.set(place, place);
    groupOf.set(top(places[0]), top(places[1]));
  }
  const groups = [...groupOf.keys()].filter((place) => top(place) === place);
  // Where both probes are at one place nothing has to go anywhere once one is there.
  return pairs.filter(({ places: [a, b] }) => a !== b).length + groups.length;
}

/** How far probes are taken from one stop to the next, m; the shorter way round where both go. */
function carried(from: PlacePair, to: PlacePair, away: (a: string, b: string) => number): number {
  const [a, b] = from.places;
  const [c, d] = to.places;
  return Math.min(away(a, c) + away(b, d), away(a, d) + away(b, c));
}

/**
 * The pairs in an order in which few probes are taken elsewhere, and those not far: the given order,
 * bettered by turning stretches round and putting runs elsewhere, shaken where that ends. What is at
 * one place with both ends is put in where it asks least. That it is the fewest is proven where it
 * comes to {@link leastWalks}.
 */
export function fewestWalks<Pair extends PlacePair>(
  given: readonly Pair[],
  away: (a: string, b: string) => number,
): readonly Pair[] {
  let order = betweenTwo(
    given.filter(({ places: [a, b] }) => a !== b),
    away,
  );
  for (const own of given.filter(({ places: [a, b] }) => a === b)) {
    const ways = Array.from({ length: order.length + 1 }, (_, k) => [
      ...order.slice(0, k),
      own,
      ...order.slice(k),
    ]);
    order = ways.reduce((a, b) => (walksOf(b) < walksOf(a) ? b : a));
  }
  return order;
}

function betweenTwo<Pair extends PlacePair>(
  given: readonly Pair[],
  away: (a: string, b: string) => number,
): readonly Pair[] {
  const n = given.length;
  const step = given.map((from) =>
    given.map((to) => 1e4 * probesMoved(from, to) + carried(from, to, away)),
  );
  const at = (i: number | undefined, j: number | undefined): number =>
    i === undefined || j === undefined ? 0 : step[i]![j]!;
  const costOf = (order: readonly number[]): number =>
    order.reduce((all, stop, i) => all + at(order[i - 1], stop), 0);
  const walks = (order: readonly number[]): number => walksOf(order.map((i) => given[i]!));
  const least = leastWalks(given);
  let best = given.map((_, i) => i);
  let cost = costOf(best);
  const take = (order: readonly number[]): boolean => {
    const other = costOf(order);
    if (other > cost - 1e-9) return false;
    [best, cost] = [[...order], other];
    return true;
  };
  /** Better by one stretch that is turned round, or by a run that is put elsewhere; whether it was. */
  const better = (): boolean => {
    for (let i = 0; i < n; i += 1) {
      for (let j = i + 1; j <= n; j += 1) {
        const [first, last] = [best[i], best[j - 1]];
        const [p, q] = [best[i - 1], best[j]];
        const joined = at(p, first) + at(last, q);
        const run = (): number[] => best.slice(i, j);
        if (at(p, last) + at(first, q) < joined - 1e-9) {
          if (take([...best.slice(0, i), ...run().reverse(), ...best.slice(j)])) return true;
        }
        if (j - i > LONGEST_RUN) continue;
        const rest = [...best.slice(0, i), ...best.slice(j)];
        const won = joined - at(p, q);
        for (let k = 0; k <= rest.length; k += 1) {
          const [l, r] = [rest[k - 1], rest[k]];
          const [put, turned] = [at(l, first) + at(last, r), at(l, last) + at(first, r)];
          if (Math.min(put, turned) - at(l, r) > won - 1e-9) continue;
          const way = put <= turned ? run() : run().reverse();
          if (take([...rest.slice(0, k), ...way, ...rest.slice(k)])) return true;
        }
      }
    }
    return false;
  };
  const settle = (): void => {
    while (better());
  };
  settle();
  const random = seededUniform(SEED);
  const cut = (): number => 1 + Math.floor(random() * (n - 1));
  for (let k = 0; k < SHAKES && n > 3 && walks(best) > least; k += 1) {
    const kept = [best, cost] as const;
    const [p = 0, q = 0, r = 0] = [cut(), cut(), cut()].sort((a, b) => a - b);
    best = [...best.slice(0, p), ...best.slice(q, r), ...best.slice(p, q), ...best.slice(r)];
    cost = costOf(best);
    settle();
    if (kept[1] < cost) [best, cost] = kept;
  }
  return best.map((i) => given[i]!);
}
