/** A place in a drawing. */
export type Drawn = readonly [x: number, y: number];

const turn = (a: Drawn, b: Drawn, c: Drawn): number =>
  (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]);

/** One side of the hull of places that are sorted: every turn to the same hand. */
function chain(places: readonly Drawn[]): Drawn[] {
  const kept: Drawn[] = [];
  for (const place of places) {
    for (;;) {
      const [before, last] = [kept.at(-2), kept.at(-1)];
      if (!before || !last || turn(before, last, place) > 0) break;
      kept.pop();
    }
    kept.push(place);
  }
  return kept.slice(0, -1);
}

/** The convex outline around some places, in order. */
export function hullOf(places: readonly Drawn[]): Drawn[] {
  const sorted = [...places].sort((a, b) => a[0] - b[0] || a[1] - b[1]);
  return [...chain(sorted), ...chain([...sorted].reverse())];
}
