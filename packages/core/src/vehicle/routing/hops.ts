import { entryAt } from '../../numerics/index.ts';
import type { CostField } from './costField.ts';
import type { Grid } from './grid.ts';

/**
 * Steps from cell to cell that every cell is away from a goal, round all that is closed; −1 where
 * there is no way. The goal and the start may stand in cells that are closed themselves.
 */
export function hopsTo(grid: Grid, field: CostField, goal: number, start: number): Int32Array {
  const hops = new Int32Array(grid.size).fill(-1);
  const queue = new Int32Array(grid.size);
  const [nx, ny, nz] = grid.counts;
  let [head, tail] = [0, 0];
  hops[goal] = 0;
  queue[tail++] = goal;
  const reach = (cell: number, count: number): void => {
    if (hops[cell] !== -1 || (field[cell] === 0 && cell !== start)) return;
    hops[cell] = count;
    queue[tail++] = cell;
  };
  const layer = nx * ny;
  while (head < tail) {
    const cell = queue[head++] as number;
    const count = (hops[cell] as number) + 1;
    const x = cell % nx;
    const y = Math.floor(cell / nx) % ny;
    const z = Math.floor(cell / layer);
    if (x > 0) reach(cell - 1, count);
    if (x < nx - 1) reach(cell + 1, count);
    if (y > 0) reach(cell - nx, count);
    if (y < ny - 1) reach(cell + nx, count);
    if (z > 0) reach(cell - layer, count);
    if (z < nz - 1) reach(cell + layer, count);
  }
  return hops;
}

/** Whether there is a way at all from a cell. */
export const isReached = (hops: Int32Array, cell: number): boolean => entryAt(hops, cell) >= 0;
