import { boltData } from './boltData.ts';
import {
  type DrawnPlace,
  type DrawnShape,
  drawnLine as line,
  drawnPolygon as polygon,
  drawnWords as words,
} from './drawnShapes.ts';
import type { FixingDesign, FixingWanted, PlateDesign } from './fixingDesign.ts';

/** A plate ready for the bench: what is drawn, how large that is, and what is said beside it. */
export interface FixingDrawing {
  readonly shapes: readonly DrawnShape[];
  readonly low: DrawnPlace;
  readonly high: DrawnPlace;
  readonly notes: readonly string[];
}

/** Measures stand so far from what they measure at least, and texts are so high, mm. */
const OFFSET = 9;
export const TEXT_HEIGHT = 3;
const TICK = 1.4;
/** Between the flat plate and its view from the end, mm. */
const BETWEEN = 24;

const mm = (metres: number): number => metres * 1e3;
/** A length as a bench reads it: tenths of a millimetre, none where there are none. */
const told = (value: number): string => `${Math.round(value * 10) / 10}`;

/** A measure between two places, across or up, drawn at a line of its own. */
function measure(
  direction: 'across' | 'up',
  [from, to]: readonly [number, number],
  at: number,
  foot: number,
): DrawnShape[] {
  const place = (along: number, beside: number): DrawnPlace =>
    direction === 'across' ? [along, beside] : [beside, along];
  const tick = (along: number) => {
    const [x, y] = place(along, at);
    return line('measure', [x - TICK, y - TICK], [x + TICK, y + TICK]);
  };
  return [
    line('measure', place(from, at), place(to, at)),
    ...[from, to].flatMap((along) => [
      tick(along),
      line('measure', place(along, foot), place(along, at)),
    ]),
    words(
      direction === 'across' ? [(from + to) / 2, at + 1] : [at - 1, (from + to) / 2],
      told(Math.abs(to - from)),
      direction === 'up',
    ),
  ];
}

/** The edge of a flat plate, its corners cut out where they are. */
function outline({ length, width, corner }: PlateDesign): DrawnPlace[] {
  const [u, v, c] = [mm(length) / 2, mm(width) / 2, mm(corner)];
  if (c === 0) {
    return [
      [-u, -v],
      [u, -v],
      [u, v],
      [-u, v],
    ];
  }
  return [
    [-u + c, -v],
    [u - c, -v],
    [u - c, -v + c],
    [u, -v + c],
    [u, v - c],
    [u - c, v - c],
    [u - c, v],
    [-u + c, v],
    [-u + c, v - c],
    [-u, v - c],
    [-u, -v + c],
    [-u + c, -v + c],
  ];
}

const distinct = (values: readonly number[]): number[] =>
  [...new Set(values.map((value) => Math.round(value * 100) / 100))].sort((a, b) => a - b);

/** How far measures of a plate stand apart, mm: further on a large one, which is drawn smaller. */
const offsetOf = ({ length, width }: PlateDesign): number =>
  Math.max(OFFSET, mm(length + width) / 32);

/** The flat plate with its holes and folds, all measured from its lower left. */
function flatView(plate: PlateDesign): DrawnShape[] {
  const [u, v] = [mm(plate.length) / 2, mm(plate.width) / 2];
  const step = offsetOf(plate);
  const across = distinct([...plate.holes.map((hole) => mm(hole.u)), ...plate.bendsAcross.map(mm)]);
  const up = distinct([...plate.holes.map((hole) => mm(hole.v)), ...plate.bendsAlong.map(mm)]);
  return [
    ...polygon('cut', outline(plate)),
    ...plate.bendsAlong.map((at) => line('bend', [-u, mm(at)], [u, mm(at)])),
    ...plate.bendsAcross.map((at) => line('bend', [mm(at), -v], [mm(at), v])),
    ...plate.holes.map((hole): DrawnShape => ({
      kind: 'circle',
      layer: 'hole',
      centre: [mm(hole.u), mm(hole.v)],
      radius: mm(plate.hole) / 2,
    })),
    ...across.flatMap((at, i) => measure('across', [-u, at], v + step * (i + 1), v)),
    ...measure('across', [-u, u], v + step * (across.length + 1), v),
    ...up.flatMap((at, i) => measure('up', [-v, at], -u - step * (i + 1), -u)),
    ...measure('up', [-v, v], -u - step * (up.length + 1), -u),
  ];
}

/** The bent plate from its end, with the part as it sits on it. */
function endView(plate: PlateDesign, wanted: FixingWanted, right: number): DrawnShape[] {
  const [, wide, high] = wanted.size.map(mm) as [number, number, number];
  const t = mm(wanted.thickness);
  const gap = mm(wanted.standoff);
  const offset = offsetOf(plate);
  const x0 = right + BETWEEN + offset;
  const box = (x: number, y: number, w: number, h: number): DrawnPlace[] => [
    [x, y],
    [x + w, y],
    [x + w, y + h],
    [x, y + h],
  ];
  switch (wanted.means) {
    case 'bracket': {
      const [wall, shelf] = [mm(plate.flank), gap + wide + 10];
      return [
        ...polygon('cut', [
          [x0, 0],
          [x0 + shelf, 0],
          [x0 + shelf, t],
          [x0 + t, t],
          [x0 + t, wall],
          [x0, wall],
        ]),
        ...polygon('part', box(x0 + t + gap, t, wide, high)),
        ...measure('across', [x0, x0 + shelf], -offset, 0),
        ...measure('up', [0, wall], x0 - offset, x0),
      ];
    }
    case 'tray': {
      const [w, flank] = [wide + 6 + 2 * t, mm(plate.flank)];
      return [
        ...polygon('cut', [
          [x0, 0],
          [x0 + w, 0],
          [x0 + w, flank],
          [x0 + w - t, flank],
          [x0 + w - t, t],
          [x0 + t, t],
          [x0 + t, flank],
          [x0, flank],
        ]),
        ...polygon('part', box(x0 + t + 3, t, wide, high)),
        ...measure('across', [x0, x0 + w], -offset, 0),
        ...measure('up', [0, flank], x0 - offset, x0),
      ];
    }
    case 'plate':
    case 'clamps': {
      const w = mm(plate.width);
      return [
        ...polygon('cut', box(x0, 0, w, t)),
        ...polygon('part', box(x0 + (w - wide) / 2, t, wide, high)),
        ...(gap > 0 ? measure('up', [-gap, 0], x0 - offset, x0) : []),
        ...measure('across', [x0, x0 + w], -gap - offset, 0),
      ];
    }
  }
}

const placesOf = (shape: DrawnShape): readonly DrawnPlace[] => {
  switch (shape.kind) {
    case 'line':
      return [shape.from, shape.to];
    case 'circle':
      return [shape.centre];
    case 'text': {
      const long = shape.text.length * TEXT_HEIGHT * 0.7;
      const [x, y] = shape.at;
      return shape.upright
        ? [
            [x - TEXT_HEIGHT, y - long / 2],
            [x, y + long / 2],
          ]
        : [
            [x - long / 2, y],
            [x + long / 2, y + TEXT_HEIGHT],
          ];
    }
  }
};

/** The drawing of a plate with every measure that a bench needs; undefined where there is none. */
export function fixingDrawing(
  wanted: FixingWanted,
  design: FixingDesign,
): FixingDrawing | undefined {
  const { plate } = design;
  if (!plate) return undefined;
  const flat = flatView(plate);
  const shapes = [...flat, ...endView(plate, wanted, mm(plate.length) / 2)];
  const places = shapes.flatMap(placesOf);
  const xs = places.map(([x]) => x);
  const ys = places.map(([, y]) => y);
  const folds = plate.bendsAlong.length + plate.bendsAcross.length;
  return {
    shapes,
    low: [Math.min(...xs), Math.min(...ys)],
    high: [Math.max(...xs), Math.max(...ys)],
    notes: [
      `${wanted.metal}, ${told(mm(wanted.thickness))} mm; flat ${told(mm(plate.length))} × ${told(mm(plate.width))} mm; ${told(plate.mass * 1e3)} g`,
      `${plate.holes.length} holes ${told(mm(boltData[wanted.bolt].hole))} mm for ${wanted.bolt}, measured from the lower left of the flat plate`,
      ...(folds > 0
        ? [
            `folds at the broken lines, 90°, inside radius ${told(mm(design.bendRadius))} mm, allowed for in the flat plate`,
          ]
        : []),
      `bolts ${wanted.bolt} × ${told(mm(design.boltLength))} through 3 mm of what carries it`,
      ...(wanted.rubber ? ['on rubber mounts'] : []),
      'deburr, round the edges, paint or passivate before fitting',
    ],
  };
}
