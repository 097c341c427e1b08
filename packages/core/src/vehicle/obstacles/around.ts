import type { Sheet, Space, Vehicle } from '../../model/index.ts';
import { memo, memoOfPair } from '../../numerics/index.ts';
import type { FittedWith, SpaceUse } from '../slices/surroundings.ts';
import type { Box } from '../geometry/distances.ts';
import { lengthInside } from '../geometry/inside.ts';
import type { RoutePath } from '../geometry/path.ts';
import { type Crossing, type Parallelogram, crossingsOf } from '../geometry/sheet.ts';
import { type Vector, add, distanceBetween, dot, scale, subtract } from '../geometry/vector.ts';
import { heightsOf } from '../geometry/heights.ts';
import { vectorOf } from '../places/vectorOf.ts';
import {
  type LineThickness,
  type NearByKind,
  ROUNDING,
  nearestObstacles,
} from './nearestObstacles.ts';
import type { Obstacle, ObstacleKind } from './obstacle.ts';
import { type Things, obstaclesOf } from './obstaclesOf.ts';

/** A hole in a sheet. */
export interface Hole {
  readonly id: string;
  readonly name: string;
  readonly centre: Vector;
  readonly bore: number;
  readonly fitted: FittedWith;
}
export interface SheetAround {
  readonly id: string;
  readonly name: string;
  readonly seals: boolean;
  readonly plane: Parallelogram;
  readonly holes: readonly Hole[];
}
export interface SpaceAround {
  readonly id: string;
  readonly name: string;
  readonly use: SpaceUse;
  readonly box: Box;
}

/** All of a vehicle that the way of a line is checked against. */
export interface VehicleAround {
  readonly obstacles: readonly Obstacle[];
  readonly sheets: readonly SheetAround[];
  readonly spaces: readonly SpaceAround[];
  /** no line hangs below this, m */
  readonly lowestAllowed: number;
}

/** What a way's surroundings are made of. */
export interface AroundThings extends Things {
  readonly vehicle: Vehicle;
  readonly sheets: readonly Sheet[];
  readonly spaces: readonly Space[];
}

export const planeOf = (sheet: Sheet): Parallelogram => ({
  corner: vectorOf(sheet.corner),
  next: vectorOf(sheet.next),
  other: vectorOf(sheet.other),
});

const sheetAround = memo((sheet: Sheet): SheetAround => ({
  id: sheet.id,
  name: sheet.name,
  seals: sheet.seals,
  plane: planeOf(sheet),
  holes: sheet.passThroughs.map((hole) => ({
    id: hole.id,
    name: hole.name,
    centre: vectorOf(hole),
    bore: hole.bore.value,
    fitted: hole.fitted,
  })),
}));
const spaceAround = memo(({ id, name, use, low, high }: Space): SpaceAround => ({
  id,
  name,
  use,
  box: { low: vectorOf(low), high: vectorOf(high) },
}));

/** The things of a vehicle as geometry. */
export const vehicleAround = (things: AroundThings): VehicleAround => ({
  obstacles: obstaclesOf(things),
  sheets: things.sheets.map((sheet) => sheetAround(sheet)),
  spaces: things.spaces.map((space) => spaceAround(space)),
  lowestAllowed: things.vehicle.clearance.value,
});

/** A line going through a sheet, with the hole it goes through if there is one. */
export interface SheetCrossing extends Crossing {
  readonly sheet: SheetAround;
  readonly hole: Hole | undefined;
  /** least room m around the line in the hole; below 0 it does not fit */
  readonly room: number;
}

/** A line running through a space. */
export interface Passage {
  readonly space: SpaceAround;
  readonly length: number;
}

/** What the way of a line meets. */
export interface WayCheck {
  readonly near: NearByKind;
  readonly crossings: readonly SheetCrossing[];
  readonly passages: readonly Passage[];
  /** lowest place of its skin, m above the ground */
  readonly lowest: number;
}

/** Room in a hole around a line that goes through its sheet at a place. */
function roomIn(hole: Hole, { at, direction }: Crossing, thickness: number): number {
  // Across the line: a hole is not missed by going through its sheet at a slant.
  const apart = subtract(at, hole.centre);
  const across = add(apart, scale(direction, -dot(apart, direction)));
  return hole.bore / 2 - distanceBetween(across, [0, 0, 0]) - thickness / 2;
}

const sheetCrossings = memoOfPair(
  (path: RoutePath, sheet: SheetAround, thickness: number): SheetCrossing[] =>
    crossingsOf(path, sheet.plane).map((crossing) => {
      const rooms = sheet.holes
        .map((hole) => ({ hole, room: roomIn(hole, crossing, thickness) }))
        .filter(({ hole, room }) => room > -hole.bore)
        .sort((a, b) => b.room - a.room);
      const best = rooms[0];
      return { ...crossing, sheet, hole: best?.hole, room: best?.room ?? -thickness };
    }),
);

const lengthIn = memoOfPair((path: RoutePath, { box }: SpaceAround) => lengthInside(path, box));

/**
 * Everything that a way meets: what is near, what it goes through, how low it hangs. What leaves it
 * more than `within` m beyond what it asks may be left out.
 */
export function checkWay(
  path: RoutePath,
  around: VehicleAround,
  line: LineThickness,
  within = Infinity,
): WayCheck {
  const lowest = heightsOf(path)?.lowest.at[2] ?? Infinity;
  return {
    near: nearestObstacles(path, around.obstacles, line, within),
    crossings: around.sheets.flatMap((sheet) => sheetCrossings(path, sheet, line.outsideDiameter)),
    passages: around.spaces.flatMap((space): Passage[] => {
      const length = lengthIn(path, space);
      return length > 0 ? [{ space, length }] : [];
    }),
    lowest: lowest - line.outsideDiameter / 2,
  };
}

/** Something that a way may or should not do: what kind of thing it offends, and which. */
export interface Fault {
  readonly kind: ObstacleKind | SpaceUse | 'sheet' | 'low';
  readonly id: string;
}

/** Everything that stands against a way. */
export function faultsOf(
  way: WayCheck,
  { lowestAllowed }: Pick<VehicleAround, 'lowestAllowed'>,
): readonly Fault[] {
  return [
    ...Object.values(way.near).filter(({ margin }) => margin < -ROUNDING),
    ...way.crossings
      .filter(({ room }) => room < -ROUNDING)
      .map(({ sheet }): Fault => ({ kind: 'sheet', id: sheet.id })),
    ...way.passages
      .filter(({ space }) => space.use !== 'splash')
      .map(({ space }): Fault => ({ kind: space.use, id: space.id })),
    ...(way.lowest < lowestAllowed - ROUNDING ? [{ kind: 'low', id: '' } as const] : []),
  ].map(({ kind, id }): Fault => ({ kind, id }));
}

/** A fault in one word, to compare. */
export const faultKey = ({ kind, id }: Fault): string => `${kind}:${id}`;
