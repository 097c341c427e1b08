import { defineFormula } from '../../results/index.ts';
import { bendLoss } from '../geometry/bendLoss.ts';
import { heightsOf } from '../geometry/heights.ts';
import { bodyOfNumbers } from '../components/bodyNumbers.ts';
import { stretchOf } from '../geometry/stretch.ts';
import { type ObstacleShape, nearestTo } from '../obstacles/obstacle.ts';
import { angleBetween, scale } from '../geometry/vector.ts';
import { clampFormulas } from './clamps.ts';
import { pathThrough, unflat } from './wayNumbers.ts';

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

export const bendLosses = defineFormula({
  name: 'loss coefficient of all bends',
  notation: 'Σ K = Σ A(θ) · 0.21 / √(r/D)',
  kind: 'ratio',
  inputKinds: { ...way, bore: 'length' },
  source:
    'smooth bends of a round bore, beyond the friction along them (Idelchik, diagram 6-1); A = 0.9 sin θ up to 70°, 1 at 90°, 0.7 + 0.35 θ/90° from 100°',
  compute: (i: Way & { bore: number }) =>
    pathThrough(i.points, i.radii).bends.reduce(
      (sum, bend) => sum + bendLoss({ ...bend, bore: i.bore }),
      0,
    ),
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

/** A way, how thick the line is, and how far a thing reaches beyond its room when it moves. */
type Beside = Way & {
  /** from and to, m along the way, where it counts: an end may leave the part it is fastened to */
  stretch: readonly number[];
  outsideDiameter: number;
  travel: number;
};
const beside = {
  ...way,
  stretch: 'length',
  outsideDiameter: 'length',
  travel: 'length',
} as const;
const clear = (i: Beside, shape: ObstacleShape): number => {
  const path = pathThrough(i.points, i.radii);
  const [from = 0, to = path.length] = i.stretch;
  const whole = from === 0 && to === path.length;
  const near = nearestTo(whole ? path : stretchOf(path, from, to), shape);
  return (near?.distance ?? Infinity) - i.outsideDiameter / 2 - i.travel;
};
const least = 'least over the whole way and all movement: straights exact, arcs to 0.05 mm';

export const clearanceToRod = defineFormula({
  name: 'clearance to a pipe, shaft, edge or cable',
  notation: 'c = distance of the centrelines − d/2 − D/2 − travel',
  kind: 'length',
  inputKinds: { ...beside, rod: 'length', rodDiameter: 'length' },
  source: least,
  compute: (i: Beside & { rod: readonly number[]; rodDiameter: number }) =>
    clear(i, { kind: 'rod', points: unflat(i.rod), radius: i.rodDiameter / 2 }),
});

export const clearanceToBox = defineFormula({
  name: 'clearance to a box',
  notation: 'c = distance of the centreline to its faces − d/2 − travel',
  kind: 'length',
  inputKinds: { ...beside, box: 'length' },
  source: least,
  compute: (i: Beside & { box: readonly number[] }) => {
    const [low, high] = unflat(i.box);
    return low && high ? clear(i, { kind: 'box', box: { low, high } }) : Infinity;
  },
});

export const clearanceToBody = defineFormula({
  name: 'clearance to a part',
  notation: 'c = distance of the centreline to its box − d/2',
  kind: 'length',
  inputKinds: { ...beside, body: 'length' },
  source: least,
  compute: (i: Beside & { body: readonly number[] }) =>
    clear(i, { kind: 'body', body: bodyOfNumbers(i.body) }),
});

export const clearanceMargin = defineFormula({
  name: 'clearance beyond what is asked',
  notation: 'c − c_needed',
  kind: 'length',
  inputKinds: { clearance: 'length', needed: 'length' },
  source:
    '100 mm from a bare hot pipe, 50 with a sleeve, twice from a turbine, none up to 60 °C; 25 mm from what moves in its place, 50 where it travels or whips; 12 mm from a sharp edge; 50 mm between fuel and a battery cable',
  compute: (i) => i.clearance - i.needed,
});

export const portTurn = defineFormula({
  name: 'turn between a port and its line',
  notation: 'angle between the direction out of the port and the line as it leaves it',
  kind: 'angle',
  inputKinds: { ...way, port: 'ratio', atEnd: 'count' },
  source: 'what the end of a hose has to make up: straight 0°, an elbow its angle',
  compute: (i: Way & { port: readonly number[]; atEnd: number }) => {
    const { startDirection, endDirection } = pathThrough(i.points, i.radii);
    const [port] = unflat(i.port);
    return port ? angleBetween(port, i.atEnd > 0 ? scale(endDirection, -1) : startDirection) : 0;
  },
});

export const lengthUncertainty = defineFormula({
  name: 'uncertainty of a length',
  notation: '± = √((±₁² + ±₂²) / 2) of its two ends; 5 mm where it was typed or measured',
  kind: 'length',
  inputKinds: { ends: 'length' },
  source:
    'typed or measured 5 mm; a place on the map 80 mm, or what its tape reading is good to once it stands where that says',
  compute: (i: { ends: readonly number[] }) =>
    Math.sqrt(i.ends.reduce((sum, end) => sum + end * end, 0) / Math.max(1, i.ends.length)),
});

export const lowestOf = defineFormula({
  name: 'lowest point of all lines',
  notation: 'least low point',
  kind: 'length',
  inputKinds: { lowPoints: 'length' },
  source: 'what the ground reaches first',
  compute: (i: { lowPoints: readonly number[] }) => Math.min(...i.lowPoints),
});

export const groundMargin = defineFormula({
  name: 'lines above the lowest protected member',
  notation: 'lowest − protected',
  kind: 'length',
  inputKinds: { lowest: 'length', protected: 'length' },
  source: 'no line is below what protects the vehicle from the ground',
  compute: (i) => i.lowest - i.protected,
});

export const routeFormulas = [
  ...clampFormulas,
  portTurn,
  developedLength,
  bendCount,
  bendAngle,
  bendLosses,
  tightestBend,
  highPoint,
  lowPoint,
  clearanceToRod,
  clearanceToBox,
  clearanceToBody,
  clearanceMargin,
  groundMargin,
  lengthUncertainty,
  lowestOf,
];
