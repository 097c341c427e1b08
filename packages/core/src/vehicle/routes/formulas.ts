import { entryAt, firstOf } from '../../numerics/index.ts';
import { defineFormula } from '../../results/index.ts';
import { type Nearest, pathToSegment } from '../geometry/distances.ts';
import { heightsOf } from '../geometry/heights.ts';
import { type RoutePath, type RoutePoint, shapeOf } from '../geometry/path.ts';
import type { Vector } from '../geometry/vector.ts';

/** Places one after another as plain numbers: x, y, z of each, m. */
export const flat = (places: readonly Vector[]): number[] => places.flatMap((at) => [...at]);

const unflat = (numbers: readonly number[]): Vector[] =>
  Array.from({ length: numbers.length / 3 }, (_, i) => [
    entryAt(numbers, 3 * i),
    entryAt(numbers, 3 * i + 1),
    entryAt(numbers, 3 * i + 2),
  ]);

const corners = (points: readonly number[], radii: readonly number[]): RoutePoint[] =>
  unflat(points).map((at, i) => ({ at, radius: entryAt(radii, i) }));

/** The path through such numbers; one that cannot be run has no figures. */
function pathThrough(points: readonly number[], radii: readonly number[]): RoutePath {
  const shape = shapeOf(corners(points, radii));
  if (!shape.ok) throw new RangeError('this way cannot be run');
  return shape.path;
}

/** Where a path comes nearest to a polyline, centre to centre. */
export function nearestTo(path: RoutePath, run: readonly Vector[]): Nearest | undefined {
  return run
    .slice(1)
    .flatMap((to, i) => pathToSegment(path, { from: entryAt(run, i), to }) ?? [])
    .sort((a, b) => a.distance - b.distance)[0];
}

type Way = { points: readonly number[]; radii: readonly number[] };
const way = { points: 'length', radii: 'length' } as const;
const source = 'corners and bend radii of the way on the map, from port to port';

export const developedLength = defineFormula({
  name: 'developed length',
  notation: 'L = Σ straights + Σ r · θ',
  kind: 'length',
  inputKinds: way,
  source,
  compute: (i: Way) => pathThrough(i.points, i.radii).length,
});

export const bendCount = defineFormula({
  name: 'number of bends',
  notation: 'corners that turn',
  kind: 'count',
  inputKinds: way,
  source,
  compute: (i: Way) => pathThrough(i.points, i.radii).bends.length,
});

export const bendAngle = defineFormula({
  name: 'bent in all',
  notation: 'Σ θ',
  kind: 'angle',
  inputKinds: way,
  source,
  compute: (i: Way) =>
    pathThrough(i.points, i.radii).bends.reduce((sum, bend) => sum + bend.angle, 0),
});

export const tightestBend = defineFormula({
  name: 'tightest bend, inside of it',
  notation: 'r − d/2',
  kind: 'length',
  inputKinds: { ...way, outsideDiameter: 'length' },
  source: 'radius of the centreline less half the hose',
  compute: (i: Way & { outsideDiameter: number }) =>
    Math.min(...pathThrough(i.points, i.radii).bends.map((b) => b.radius)) - i.outsideDiameter / 2,
});

export const highPoint = defineFormula({
  name: 'high point',
  notation: 'greatest z of the centreline',
  kind: 'length',
  inputKinds: way,
  source: 'vapour gathers in it',
  compute: (i: Way) => heightsOf(pathThrough(i.points, i.radii))?.highest.at[2] ?? 0,
});

export const lowPoint = defineFormula({
  name: 'low point',
  notation: 'least z of the centreline',
  kind: 'length',
  inputKinds: way,
  source: 'what the ground reaches first',
  compute: (i: Way) => heightsOf(pathThrough(i.points, i.radii))?.lowest.at[2] ?? 0,
});

export const heatClearance = defineFormula({
  name: 'clearance to a hot pipe',
  notation: 'c = distance of the centrelines − d/2 − D/2',
  kind: 'length',
  inputKinds: {
    ...way,
    outsideDiameter: 'length',
    hotPipe: 'length',
    pipeDiameter: 'length',
  },
  source: 'least over the whole way: straights exact, arcs to 0.05 mm',
  compute: (
    i: Way & { outsideDiameter: number; hotPipe: readonly number[]; pipeDiameter: number },
  ) =>
    (nearestTo(pathThrough(i.points, i.radii), unflat(i.hotPipe))?.distance ?? Infinity) -
    i.outsideDiameter / 2 -
    i.pipeDiameter / 2,
});

/** Clamps are so far apart at most, m, and one sits so near to each end. */
const HOSE_PITCH = 0.45;
const HARDLINE_PITCH = 0.6;
const NEAR_END = 0.12;

/** Greatest distance m between clamps. */
export const clampPitch = (hardline: boolean): number => (hardline ? HARDLINE_PITCH : HOSE_PITCH);

export const clampCount = defineFormula({
  name: 'clamps',
  notation: 'n = ⌈(L − 2 · 120 mm) / pitch⌉ + 1, at least 1',
  kind: 'count',
  inputKinds: { length: 'length', pitch: 'length' },
  source: 'one within 120 mm of each end, 450 mm apart at most on hose, 600 on hardline',
  compute: (i) =>
    i.length <= 2 * NEAR_END ? 1 : Math.ceil((i.length - 2 * NEAR_END) / i.pitch - 1e-9) + 1,
});

export const lengthUncertainty = defineFormula({
  name: 'uncertainty of a length',
  notation: '±, by how it is known',
  kind: 'length',
  inputKinds: { known: 'length' },
  source:
    'typed or measured 5 mm; a way on the map 80 mm while its vehicle was not measured with a tape',
  compute: (i: { known: number }) => i.known,
});

/** ± m of a length by how it is known. */
export const uncertaintyOf = (length: { typed: unknown; measured: unknown }): number =>
  length.typed !== null || length.measured !== null ? 0.005 : 0.08;

export const lowestOf = defineFormula({
  name: 'lowest point of all lines',
  notation: 'least low point',
  kind: 'length',
  inputKinds: { lowPoints: 'length' },
  source: 'what the ground reaches first',
  compute: (i: { lowPoints: readonly number[] }) => Math.min(...i.lowPoints),
});

/** Room that a line needs from a hot pipe: bare, or in a heat sleeve, m. */
const BARE = 0.1;
const SLEEVED = 0.05;
/** A surface up to this hurts no hose, K. */
const HARMLESS = 273.15 + 60;

/** Room m that is needed from a hot surface. */
export const neededFromHeat = (input: {
  temperature: number;
  turbine: boolean;
  sleeve: boolean;
}): number =>
  input.temperature <= HARMLESS ? 0 : (input.sleeve ? SLEEVED : BARE) * (input.turbine ? 2 : 1);

export const heatMargin = defineFormula({
  name: 'clearance beyond what heat asks',
  notation: 'c − c_needed',
  kind: 'length',
  inputKinds: {
    clearance: 'length',
    temperature: 'temperature',
    turbine: 'count',
    sleeve: 'count',
  },
  source: '100 mm from a bare hot pipe, 50 with a sleeve, twice from a turbine; none up to 60 °C',
  compute: (i) =>
    i.clearance -
    neededFromHeat({
      temperature: i.temperature,
      turbine: i.turbine > 0,
      sleeve: i.sleeve > 0,
    }),
});

export const runLength = defineFormula({
  name: 'length of a hot pipe',
  notation: 'Σ of its straights',
  kind: 'length',
  inputKinds: { points: 'length' },
  source: 'what a wrap would have to cover',
  compute: (i: { points: readonly number[] }) => {
    const places = unflat(i.points);
    return places
      .slice(1)
      .reduce(
        (sum, to, k) =>
          sum +
          Math.hypot(
            ...[0, 1, 2].map((axis) => entryAt(to, axis) - entryAt(entryAt(places, k), axis)),
          ),
        0,
      );
  },
});

/** The hot pipe of several that leaves least beyond what it asks. */
export const worstOf = <Near extends { readonly margin: number }>(
  near: readonly Near[],
): Near | undefined =>
  near.length === 0
    ? undefined
    : near.reduce((worst, one) => (one.margin < worst.margin ? one : worst), firstOf(near));

export const routeFormulas = [
  developedLength,
  bendCount,
  bendAngle,
  tightestBend,
  highPoint,
  lowPoint,
  heatClearance,
  heatMargin,
  runLength,
  clampCount,
  lengthUncertainty,
  lowestOf,
];
