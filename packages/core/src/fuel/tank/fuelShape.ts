import { entryAt } from '../../numerics/index.ts';

/** A place in a flat view of a tank, m: across and up from its lower left corner. */
export type FlatPlace = readonly [across: number, up: number];

const areaOf = (corners: readonly FlatPlace[]): number =>
  Math.abs(
    corners.reduce((sum, [x, y], i) => {
      const [nextX, nextY] = entryAt(corners, (i + 1) % corners.length);
      return sum + x * nextY - nextX * y;
    }, 0),
  ) / 2;

/** The part of a rectangle below the line up = offset + slope · across. */
function below(width: number, height: number, slope: number, offset: number): FlatPlace[] {
  const corners: readonly FlatPlace[] = [
    [0, 0],
    [width, 0],
    [width, height],
    [0, height],
  ];
  const above = ([x, y]: FlatPlace): number => y - offset - slope * x;
  return corners.flatMap((from, i): FlatPlace[] => {
    const to = entryAt(corners, (i + 1) % corners.length);
    const [a, b] = [above(from), above(to)];
    const kept = a <= 0 ? [from] : [];
    if (a <= 0 === b <= 0) return kept;
    const t = a / (a - b);
    return [...kept, [from[0] + t * (to[0] - from[0]), from[1] + t * (to[1] - from[1])]];
  });
}

/**
 * The outline of the fuel in a flat view of a box, m: it fills a share of it and its surface rises by
 * `slope` across, as gravity and a push along the view make it. A plain box without baffles.
 */
export function fuelShape(input: {
  readonly width: number;
  readonly height: number;
  readonly slope: number;
  readonly share: number;
}): FlatPlace[] {
  const { width, height, slope, share } = input;
  const wanted = Math.min(1, Math.max(0, share)) * width * height;
  const reach = Math.abs(slope) * width;
  let [low, high] = [-reach, height + reach];
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (areaOf(below(width, height, slope, middle)) < wanted) low = middle;
    else high = middle;
  }
  return below(width, height, slope, (low + high) / 2);
}
