import type { RoutePoint } from '../geometry/path.ts';

/** What stands against a way, by key; undefined where it cannot be run. */
export type FaultsOf = (points: readonly RoutePoint[]) => readonly string[] | undefined;

/** The way without so many corners from an index on. */
const without = (points: readonly RoutePoint[], at: number, count: number): RoutePoint[] => [
  ...points.slice(0, at),
  ...points.slice(at + count),
];

/**
 * A way with the corners left out that it is worth more without: none of them brings a fault that
 * was not there. One that cannot be run is helped by any corner whose loss lets it run.
 */
export function straightened(
  points: readonly RoutePoint[],
  faultsOf: FaultsOf,
  worth: (points: readonly RoutePoint[]) => number,
): readonly RoutePoint[] {
  let best = points;
  let faults = faultsOf(best);
  let value = worth(best);
  for (let improved = true; improved;) {
    improved = false;
    for (const count of [2, 1]) {
      for (let at = 1; at + count < best.length; at++) {
        const candidate = without(best, at, count);
        const found = faultsOf(candidate);
        if (!found) continue;
        const present = faults;
        const sound = present === undefined || found.every((fault) => present.includes(fault));
        const next = worth(candidate);
        if (!sound || (present !== undefined && next >= value)) continue;
        best = candidate;
        faults = found;
        value = next;
        improved = true;
        at -= 1;
      }
    }
  }
  return best;
}
