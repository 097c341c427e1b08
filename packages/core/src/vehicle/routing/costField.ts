import { entryAt } from '../../numerics/index.ts';
import type { MountingLine } from '../../model/index.ts';
import { boundsOf, grown } from '../geometry/bounds.ts';
import { type Segment, pointToBox } from '../geometry/distances.ts';
import { cornersOf } from '../geometry/sheet.ts';
import { type Vector, cross, dot, norm, scale, subtract, unit } from '../geometry/vector.ts';
import {
  type Obstacle,
  type SheetAround,
  type VehicleAround,
  boundsOfShape,
} from '../obstacles/index.ts';
import { vectorOf } from '../places/vectorOf.ts';
import { CELL, type Grid, eachCellIn, layerAt } from './grid.ts';

/** What passing a cell costs, in lengths of a cell; 0: it cannot be passed. */
export type CostField = Float32Array;

/** A line to be led: how thick it is, in a sleeve or not, and whether fuel runs in it. */
export interface LineToLead {
  readonly from: Vector;
  readonly to: Vector;
  readonly outsideDiameter: number;
  /** centreline radius m that it is bent to */
  readonly radius: number;
  readonly sleeve: boolean;
  readonly fuel: boolean;
}

/** Beside a mounting line a way costs this share of one through the air; within so far, m. */
export const RAIL = 0.75;
const BESIDE_RAIL = 0.1;
/** Near what it keeps away from it costs more, up to so far beyond what is asked, m. */
const NEAR = 2;
const NEAR_REACH = 0.06;
/** In the solid that an end is fastened to, and in spaces that are better left alone. */
const IN_OWN_SOLID = 3;
const IN_SPLASH = 1.15;
/** Room beyond what is asked, for the way between cells and the last step to the port, m. */
const SLACK = CELL * 0.6;

/** Squared distance from a place to a segment. */
function squaredTo({ from, to }: Segment, x: number, y: number, z: number): number {
  const [dx, dy, dz] = [to[0] - from[0], to[1] - from[1], to[2] - from[2]];
  const [px, py, pz] = [x - from[0], y - from[1], z - from[2]];
  const square = dx * dx + dy * dy + dz * dz;
  const t = square === 0 ? 0 : Math.min(1, Math.max(0, (px * dx + py * dy + pz * dz) / square));
  const [ex, ey, ez] = [px - t * dx, py - t * dy, pz - t * dz];
  return ex * ex + ey * ey + ez * ez;
}

/** Closes the cells that are too near to a thing, and makes those beside them dear. */
function closeAround(field: CostField, grid: Grid, thing: Obstacle, line: LineToLead): void {
  const asked = line.sleeve ? thing.asksOfSleeved : thing.asks;
  const closed = thing.travel + asked + line.outsideDiameter / 2 + SLACK;
  const dear = closed + NEAR_REACH;
  if (thing.shape.kind !== 'rod') {
    const box = boundsOfShape(thing.shape);
    const goneRound = thing.kind === 'solid' || thing.kind === 'component';
    const own =
      goneRound &&
      [line.from, line.to].some((end) => pointToBox(end, box).distance <= line.outsideDiameter);
    eachCellIn(grid, grown(box, dear), (cell, x, y, z) => {
      const distance = pointToBox([x, y, z], box).distance;
      if (distance >= dear) return;
      if (own) field[cell] = (field[cell] as number) * (distance < closed ? IN_OWN_SOLID : 1);
      else if (distance < closed) field[cell] = 0;
      else if (!goneRound) field[cell] = (field[cell] as number) * NEAR;
    });
    return;
  }
  const { points, radius } = thing.shape;
  const [closedSquare, dearSquare] = [(closed + radius) ** 2, (dear + radius) ** 2];
  points.slice(1).forEach((to, i) => {
    const segment = { from: entryAt(points, i), to };
    eachCellIn(grid, grown(boundsOf([segment.from, to]), dear + radius), (cell, x, y, z) => {
      const square = squaredTo(segment, x, y, z);
      if (square >= dearSquare) return;
      field[cell] = square < closedSquare ? 0 : (field[cell] as number) * NEAR;
    });
  });
}

/** Closes a sheet but for the holes that a line fits through: their axes stay open. */
function closeSheet(
  field: CostField,
  grid: Grid,
  sheet: SheetAround,
  line: LineToLead,
  open: Set<number>,
): void {
  const { corner, next, other } = sheet.plane;
  const across = cross(subtract(next, corner), subtract(other, corner));
  if (norm(across) === 0) return;
  const normal = unit(across);
  const around = grown(boundsOf(cornersOf(sheet.plane)), CELL);
  eachCellIn(grid, around, (cell, x, y, z) => {
    const height = dot(subtract([x, y, z], corner), normal);
    if (Math.abs(height) <= CELL * 0.51 + line.outsideDiameter / 2) field[cell] = 0;
  });
  for (const hole of sheet.holes) {
    if (hole.bore < line.outsideDiameter) continue;
    const reach = line.radius + 2 * CELL;
    const along = [-reach, reach].map((by): Vector => {
      const offset = scale(normal, by);
      return [hole.centre[0] + offset[0], hole.centre[1] + offset[1], hole.centre[2] + offset[2]];
    });
    const axis = { from: entryAt(along, 0), to: entryAt(along, 1) };
    eachCellIn(grid, grown(boundsOf(along), CELL * 0.51), (cell, x, y, z) => {
      if (squaredTo(axis, x, y, z) <= (CELL * 0.75) ** 2) open.add(cell);
    });
  }
}

/** What passing each cell costs for a line, before any preference between ways. */
export function costField(input: {
  grid: Grid;
  around: VehicleAround;
  mountingLines: readonly MountingLine[];
  line: LineToLead;
}): CostField {
  const { grid, around, line } = input;
  const field: CostField = new Float32Array(grid.size).fill(1);
  for (const rail of input.mountingLines) {
    const segment = { from: vectorOf(rail.from), to: vectorOf(rail.to) };
    const box = grown(boundsOf([segment.from, segment.to]), BESIDE_RAIL);
    eachCellIn(grid, box, (cell, x, y, z) => {
      if (squaredTo(segment, x, y, z) <= BESIDE_RAIL ** 2) field[cell] = RAIL;
    });
  }
  for (const { use, box } of around.spaces) {
    eachCellIn(grid, box, (cell) => {
      if (use === 'splash') field[cell] = (field[cell] as number) * IN_SPLASH;
      else if (line.fuel) field[cell] = 0;
    });
  }
  for (const thing of around.obstacles) closeAround(field, grid, thing, line);
  const open = new Set<number>();
  for (const sheet of around.sheets) closeSheet(field, grid, sheet, line, open);
  for (const cell of open) if (field[cell] === 0) field[cell] = 1;
  const lowest = around.lowestAllowed + line.outsideDiameter / 2;
  const layer = grid.counts[0] * grid.counts[1];
  for (let k = 0; k < grid.counts[2] && layerAt(grid, 2, k) < lowest; k++) {
    field.fill(0, k * layer, (k + 1) * layer);
  }
  return field;
}
