import { BadInput } from '../../quantities/index.ts';
import type { BoltSize, FixingMeans, PlateMetal } from '../slices/fixings.ts';
import { boltData, boltLengths, metalDensity } from './boltData.ts';

/** What a plate is made for, m and kg: the part and how it is to be held. */
export interface FixingWanted {
  readonly means: FixingMeans;
  readonly metal: PlateMetal;
  readonly thickness: number;
  readonly standoff: number;
  readonly rubber: boolean;
  readonly bolt: BoltSize;
  readonly bolts: number;
  /** the part: length, width, height */
  readonly size: readonly [number, number, number];
}

/** A hole in the flat plate, from its middle, m. */
export interface PlateHole {
  readonly u: number;
  readonly v: number;
}

/** A plate as it is cut and bent, m: flat sizes, holes and bend lines from its middle. */
export interface PlateDesign {
  /** along the part, and across it */
  readonly length: number;
  readonly width: number;
  readonly holes: readonly PlateHole[];
  readonly hole: number;
  /** bend lines along the length at these places across, and across it at these along */
  readonly bendsAlong: readonly number[];
  readonly bendsAcross: readonly number[];
  /** how high each bent flank stands, outside */
  readonly flank: number;
  /** square cut out of each corner of a tray, 0 where there is none */
  readonly corner: number;
  /** least distance of neighbouring holes */
  readonly pitch: number;
  readonly mass: number;
}

/** How a part is held: its plate, where it has one, and its bolts. */
export interface FixingDesign {
  readonly plate: PlateDesign | undefined;
  readonly boltLength: number;
  /** plates are bent around this inside radius, m */
  readonly bendRadius: number;
}

/** Inside radius of a bend over thickness, and where its neutral line lies in the thickness. */
const RADIUS = 1;
const NEUTRAL = 0.42;
/** What carries a part is so thick, m: a rail of sheet metal. */
const CARRIER = 3e-3;
/** Edges of a tray stand so high, and there is so much room beside the part, m. */
const TRAY_EDGE = 20e-3;
const TRAY_ROOM = 3e-3;
/** A shelf goes on so far beyond the part, m. */
const SHELF = 10e-3;

/** What a right-angled bend takes off the sum of both outside lengths, m. */
export const bendDeduction = (thickness: number): number =>
  2 * (RADIUS + 1) * thickness - (Math.PI / 2) * (RADIUS + NEUTRAL) * thickness;

/** Distance of a hole from an edge: twice its width, at least 12 mm. */
const edgeOf = (hole: number): number => Math.max(2 * hole, 12e-3);

/** `count` places spread evenly over a length, the first and last at its ends. */
const spread = (count: number, length: number): number[] =>
  count === 1
    ? [0]
    : Array.from({ length: count }, (_, i) => -length / 2 + (length * i) / (count - 1));

/** Holes in two columns at `u` to both sides, the odd one in the first. */
function twoColumns(bolts: number, u: number, width: number): PlateHole[] {
  const first = Math.ceil(bolts / 2);
  return [
    ...spread(first, width).map((v) => ({ u: -u, v })),
    ...spread(bolts - first, width).map((v) => ({ u, v })),
  ];
}

const leastPitch = (holes: readonly PlateHole[]): number =>
  Math.min(
    ...holes.flatMap((a, i) => holes.slice(i + 1).map((b) => Math.hypot(a.u - b.u, a.v - b.v))),
  );

function flatPlate(wanted: FixingWanted, hole: number) {
  const [long, wide] = wanted.size;
  const edge = edgeOf(hole);
  const [length, width] = [long + 4 * edge, Math.max(wide, 4 * edge)];
  return {
    length,
    width,
    holes: twoColumns(wanted.bolts, length / 2 - edge, width - 2 * edge),
    bendsAlong: [],
    bendsAcross: [],
    flank: 0,
    corner: 0,
  };
}

function angleBracket(wanted: FixingWanted, hole: number) {
  const { size, thickness, standoff, bolts } = wanted;
  const [long, wide, high] = size;
  const edge = edgeOf(hole);
  const length = Math.max(long, 2 * edge + 2 * hole);
  const wall = Math.max(3 * edge, 0.6 * high + thickness);
  const shelf = standoff + wide + SHELF;
  const width = wall + shelf - bendDeduction(thickness);
  // The bend lies half its deduction short of where the two outsides meet.
  const bend = -width / 2 + wall - bendDeduction(thickness) / 2;
  return {
    length,
    width,
    holes: spread(bolts, length - 2 * edge).map((u) => ({ u, v: -width / 2 + edge })),
    bendsAlong: [bend],
    bendsAcross: [],
    flank: wall,
    corner: 0,
  };
}

function tray(wanted: FixingWanted, hole: number) {
  const { size, thickness, bolts } = wanted;
  const [long, wide] = size;
  const flank = TRAY_EDGE + thickness;
  const outside = (side: number): number => side + 2 * TRAY_ROOM + 2 * thickness;
  const flat = (side: number): number => outside(side) + 2 * (flank - bendDeduction(thickness));
  const half = (side: number): number => flat(side) / 2 - flank + bendDeduction(thickness) / 2;
  const edge = edgeOf(hole);
  return {
    length: flat(long),
    width: flat(wide),
    holes: twoColumns(bolts, long / 2 - edge, wide - 2 * edge),
    bendsAlong: [-half(wide), half(wide)],
    bendsAcross: [-half(long), half(long)],
    flank,
    corner: flank - bendDeduction(thickness) / 2,
  };
}

/** Length of the bolts, m: the next that is made for grip, washers, nut and two threads beyond. */
export function boltLengthFor(wanted: Omit<FixingWanted, 'size' | 'metal' | 'bolts'>): number {
  const { pitch, washer, nut } = boltData[wanted.bolt];
  const plate = wanted.means === 'clamps' ? 0 : wanted.thickness;
  const spacer = wanted.means === 'bracket' || wanted.rubber ? 0 : wanted.standoff;
  const needed = plate + spacer + CARRIER + 2 * washer + nut + 2 * pitch;
  const made = boltLengths.find((length) => length >= needed - 1e-9);
  if (made === undefined) {
    throw new BadInput(`no bolt is made ${Math.ceil(needed * 1e3)} mm long`, 'fixing.standoff');
  }
  return made;
}

/** The plate that holds a part; undefined for clamps, which need none. */
export function plateFor(wanted: FixingWanted): PlateDesign | undefined {
  const { hole } = boltData[wanted.bolt];
  if (wanted.means === 'clamps') return undefined;
  const make = { plate: flatPlate, bracket: angleBracket, tray }[wanted.means];
  const plate = make(wanted, hole);
  const area = plate.length * plate.width - 4 * plate.corner ** 2;
  return {
    ...plate,
    hole,
    pitch: leastPitch(plate.holes),
    mass:
      (area - plate.holes.length * (Math.PI / 4) * hole ** 2) *
      wanted.thickness *
      metalDensity[wanted.metal],
  };
}

/** How a part is held; throws BadInput where no bolt is long enough. */
export const fixingDesign = (wanted: FixingWanted): FixingDesign => ({
  plate: plateFor(wanted),
  boltLength: boltLengthFor(wanted),
  bendRadius: RADIUS * wanted.thickness,
});
