import { entryAt } from '../../numerics/index.ts';
import { defineFormula } from '../../results/index.ts';
import { pointToSegment } from '../geometry/distances.ts';
import { areaOf } from '../geometry/sheet.ts';
import { type Vector, distanceBetween } from '../geometry/vector.ts';
import { HARMLESS, askedByHeat, askedByMovement } from '../obstacles/asked.ts';
import { unflat } from '../routes/wayNumbers.ts';

type Places = { readonly places: readonly number[] };
const places = { places: 'length' } as const;
const asTyped = 'places as they are on the map';

const pairOf = (numbers: readonly number[]): readonly [Vector, Vector] => {
  const [from, to] = unflat(numbers);
  return [from ?? [0, 0, 0], to ?? [0, 0, 0]];
};

export const polylineLength = defineFormula({
  name: 'length along places',
  notation: 'Σ of its straights',
  kind: 'length',
  inputKinds: places,
  source: asTyped,
  compute: (i: Places) => {
    const at = unflat(i.places);
    return at.slice(1).reduce((sum, to, k) => sum + distanceBetween(entryAt(at, k), to), 0);
  },
});

export const boxVolume = defineFormula({
  name: 'room of a box',
  notation: 'V = Δx · Δy · Δz, each wider by the travel on both sides',
  kind: 'volume',
  inputKinds: { ...places, travel: 'length' },
  source: asTyped,
  compute: (i: Places & { travel: number }) => {
    const [low, high] = pairOf(i.places);
    const side = (axis: 0 | 1 | 2): number => high[axis] - low[axis] + 2 * i.travel;
    return side(0) * side(1) * side(2);
  },
});

export const rodVolume = defineFormula({
  name: 'room of a shaft with its movement',
  notation: 'V = π r² L + 4/3 π r³, r = D/2 + travel',
  kind: 'volume',
  inputKinds: { ...places, travel: 'length', diameter: 'length' },
  source: asTyped,
  compute: (i: Places & { travel: number; diameter: number }) => {
    const [from, to] = pairOf(i.places);
    const r = i.diameter / 2 + i.travel;
    return Math.PI * r * r * (distanceBetween(from, to) + (4 / 3) * r);
  },
});

export const sheetArea = defineFormula({
  name: 'area of a sheet',
  notation: 'A = |a × b|',
  kind: 'area',
  inputKinds: places,
  source: asTyped,
  compute: (i: Places) => {
    const [corner, next, other] = unflat(i.places);
    return corner && next && other ? areaOf({ corner, next, other }) : 0;
  },
});

export const sheetEdge = defineFormula({
  name: 'length around a sheet',
  notation: 'L = 2 (|a| + |b|)',
  kind: 'length',
  inputKinds: places,
  source: 'what a seal or edge trim around it would take',
  compute: (i: Places) => {
    const [corner, next, other] = unflat(i.places);
    return corner && next && other
      ? 2 * (distanceBetween(corner, next) + distanceBetween(corner, other))
      : 0;
  },
});

export const hotSurface = defineFormula({
  name: 'surface of a hot pipe',
  notation: 'A = π D L',
  kind: 'area',
  inputKinds: { diameter: 'length', length: 'length' },
  source: 'what a wrap would have to cover',
  compute: (i) => Math.PI * i.diameter * i.length,
});

export const hotExcess = defineFormula({
  name: 'hotter than a hose bears to touch',
  notation: 'T − 60 °C',
  kind: 'temperatureDifference',
  inputKinds: { temperature: 'temperature' },
  source: 'a surface up to 60 °C asks no room',
  compute: (i) => i.temperature - HARMLESS,
});

export const holeRoom = defineFormula({
  name: 'metal left beside a hole',
  notation: 'distance to the nearest edge of the sheet − bore/2',
  kind: 'length',
  inputKinds: { ...places, hole: 'length', bore: 'length' },
  source: asTyped,
  compute: (i: Places & { hole: readonly number[]; bore: number }) => {
    const [corner, next, other] = unflat(i.places);
    const [hole] = unflat(i.hole);
    if (!corner || !next || !other || !hole) return 0;
    const opposite: Vector = [
      next[0] + other[0] - corner[0],
      next[1] + other[1] - corner[1],
      next[2] + other[2] - corner[2],
    ];
    const sides = [
      { from: corner, to: next },
      { from: next, to: opposite },
      { from: opposite, to: other },
      { from: other, to: corner },
    ];
    return Math.min(...sides.map((side) => pointToSegment(hole, side).distance)) - i.bore / 2;
  },
});

export const heatAsked = defineFormula({
  name: 'room asked by a hot surface',
  notation: 'c_needed',
  kind: 'length',
  inputKinds: { temperature: 'temperature', turbine: 'count' },
  source: '100 mm from a bare hot pipe, twice from a turbine, none up to 60 °C',
  compute: (i) =>
    askedByHeat({ temperature: i.temperature, turbine: i.turbine > 0, sleeve: false }),
});

export const movementAsked = defineFormula({
  name: 'room asked by what moves',
  notation: 'travel + c_needed',
  kind: 'length',
  inputKinds: { travel: 'length', whips: 'count' },
  source: '25 mm from what moves in its place, 50 where it travels or whips',
  compute: (i) => i.travel + askedByMovement({ travel: i.travel, whips: i.whips > 0 }),
});

export const clipsThere = defineFormula({
  name: 'clips along a mounting line',
  notation: 'n = ⌊L / pitch⌋ + 1',
  kind: 'count',
  inputKinds: { length: 'length', pitch: 'length' },
  source: asTyped,
  compute: (i) => Math.floor(i.length / i.pitch + 1e-9) + 1,
});

export const offTape = defineFormula({
  name: 'off what the tape says',
  notation: '|place on the map − place measured|',
  kind: 'length',
  inputKinds: { onMap: 'length', measured: 'length' },
  source: 'a place measured with a tape overrides a drawn one',
  compute: (i: { onMap: readonly number[]; measured: readonly number[] }) => {
    const [a] = unflat(i.onMap);
    const [b] = unflat(i.measured);
    return a && b ? distanceBetween(a, b) : 0;
  },
});

export const asEntered = defineFormula({
  name: 'as entered',
  notation: 'x',
  kind: 'length',
  inputKinds: { entered: 'length' },
  source: 'entered at the vehicle',
  compute: (i) => i.entered,
});

export const flowVelocity = defineFormula({
  name: 'flow velocity in another line',
  notation: 'v = 4 q / (π d²)',
  kind: 'velocity',
  inputKinds: { flow: 'volumeFlow', bore: 'length' },
  source: 'mean over the bore',
  compute: (i) => (4 * i.flow) / (Math.PI * i.bore * i.bore),
});

export const overallLength = defineFormula({
  name: 'overall length',
  notation: 'L = wheelbase + front overhang + rear overhang',
  kind: 'length',
  inputKinds: { wheelbase: 'length', front: 'length', rear: 'length' },
  source: 'dimensions of the vehicle',
  compute: (i) => i.wheelbase + i.front + i.rear,
});

export const outlineArea = defineFormula({
  name: 'area of the outline from the side',
  notation: '½ |Σ (x_k z_{k+1} − x_{k+1} z_k)|',
  kind: 'area',
  inputKinds: { x: 'length', z: 'length' },
  source: 'outline generated from the body and its dimensions, or as corrected point by point',
  compute: (i: { x: readonly number[]; z: readonly number[] }) => {
    const twice = i.x.reduce((sum, x, k) => {
      const next = (k + 1) % i.x.length;
      return sum + x * entryAt(i.z, next) - entryAt(i.x, next) * entryAt(i.z, k);
    }, 0);
    return Math.abs(twice) / 2;
  },
});

export const frontArea = defineFormula({
  name: 'area from the front',
  notation: 'A = width · height',
  kind: 'area',
  inputKinds: { width: 'length', height: 'length' },
  source: 'box around the vehicle',
  compute: (i) => i.width * i.height,
});

export const axleHeight = defineFormula({
  name: 'height of the axles',
  notation: 'z = tyre / 2',
  kind: 'length',
  inputKinds: { tyre: 'length' },
  source: 'unloaded tyres',
  compute: (i) => i.tyre / 2,
});

/** Width of a tyre as a share of its diameter: an estimate. */
export const TYRE_WIDTH = 0.3;

export const betweenTyres = defineFormula({
  name: 'room between the tyres',
  notation: 'track − 0.3 · tyre',
  kind: 'length',
  inputKinds: { track: 'length', tyre: 'length' },
  source: 'a tyre is taken as 0.3 of its diameter wide',
  compute: (i) => i.track - TYRE_WIDTH * i.tyre,
});

export const thingFormulas = [
  polylineLength,
  boxVolume,
  rodVolume,
  sheetArea,
  sheetEdge,
  hotSurface,
  hotExcess,
  holeRoom,
  heatAsked,
  movementAsked,
  clipsThere,
  offTape,
  asEntered,
  flowVelocity,
  overallLength,
  outlineArea,
  frontArea,
  axleHeight,
  betweenTyres,
];
