import { entryAt } from '../../numerics/index.ts';
import type { Box } from '../geometry/distances.ts';
import type { Vector } from '../geometry/vector.ts';

/** Distance m between neighbouring cells of the grid that ways are looked for on. */
export const CELL = 0.025;

/** Cells in a box, counted from its low corner; `origin` lies on one of them. */
export interface Grid {
  readonly low: Vector;
  readonly counts: readonly [x: number, y: number, z: number];
  readonly strides: readonly [x: number, y: number, z: number];
  readonly size: number;
}

/** A grid over a box that has a cell exactly at a place. */
export function gridOver({ low, high }: Box, origin: Vector): Grid {
  const first = (axis: 0 | 1 | 2): number =>
    origin[axis] - Math.floor((origin[axis] - low[axis]) / CELL) * CELL;
  const begin: Vector = [first(0), first(1), first(2)];
  const count = (axis: 0 | 1 | 2): number =>
    Math.max(1, Math.floor((high[axis] - begin[axis]) / CELL + 1e-9) + 1);
  const counts = [count(0), count(1), count(2)] as const;
  return {
    low: begin,
    counts,
    strides: [1, counts[0], counts[0] * counts[1]],
    size: counts[0] * counts[1] * counts[2],
  };
}

/** Coordinate of a layer of cells along an axis, m. */
export const layerAt = (grid: Grid, axis: 0 | 1 | 2, index: number): number =>
  grid.low[axis] + index * CELL;

/** The place of a cell. */
export function placeOfCell(grid: Grid, cell: number): Vector {
  const [nx, ny] = grid.counts;
  const x = cell % nx;
  const y = Math.floor(cell / nx) % ny;
  const z = Math.floor(cell / (nx * ny));
  return [layerAt(grid, 0, x), layerAt(grid, 1, y), layerAt(grid, 2, z)];
}

/** Index along an axis of the layer nearest to a coordinate, kept within the grid. */
export const nearestLayer = (grid: Grid, axis: 0 | 1 | 2, at: number): number =>
  Math.min(entryAt(grid.counts, axis) - 1, Math.max(0, Math.round((at - grid.low[axis]) / CELL)));

/** The cell nearest to a place. */
export const cellAt = (grid: Grid, at: Vector): number =>
  nearestLayer(grid, 0, at[0]) +
  nearestLayer(grid, 1, at[1]) * grid.strides[1] +
  nearestLayer(grid, 2, at[2]) * grid.strides[2];

/** Calls back for every cell within a box, with its place. */
export function eachCellIn(
  grid: Grid,
  { low, high }: Box,
  visit: (cell: number, x: number, y: number, z: number) => void,
): void {
  const range = (axis: 0 | 1 | 2): readonly [number, number] => [
    Math.max(0, Math.ceil((low[axis] - grid.low[axis]) / CELL - 1e-9)),
    Math.min(
      entryAt(grid.counts, axis) - 1,
      Math.floor((high[axis] - grid.low[axis]) / CELL + 1e-9),
    ),
  ];
  const [x0, x1] = range(0);
  const [y0, y1] = range(1);
  const [z0, z1] = range(2);
  for (let k = z0; k <= z1; k++) {
    for (let j = y0; j <= y1; j++) {
      const row = j * grid.strides[1] + k * grid.strides[2];
      const [y, z] = [layerAt(grid, 1, j), layerAt(grid, 2, k)];
      for (let i = x0; i <= x1; i++) visit(row + i, layerAt(grid, 0, i), y, z);
    }
  }
}
