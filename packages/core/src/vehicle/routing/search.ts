import { entryAt } from '../../numerics/index.ts';
import type { CostField } from './costField.ts';
import { CELL, type Grid } from './grid.ts';
import { isReached } from './hops.ts';
import { MinHeap } from '../../numerics/index.ts';

/** A turn costs as much as a detour of so much, m. */
const TURN = 0.25;
/** One step along an axis, forward or back. */
interface Step {
  readonly axis: 0 | 1 | 2;
  readonly by: 1 | -1;
}
const steps: readonly Step[] = [
  { axis: 0, by: 1 },
  { axis: 0, by: -1 },
  { axis: 1, by: 1 },
  { axis: 1, by: -1 },
  { axis: 2, by: 1 },
  { axis: 2, by: -1 },
];

/** What a way is looked for in. */
export interface SearchInput {
  readonly grid: Grid;
  readonly field: CostField;
  /** steps that each cell is away from the goal, round all that is closed */
  readonly hops: Int32Array;
  readonly from: number;
  readonly to: number;
  /** cells that a leg between two bends, and one at an end, has to be long at least */
  readonly between: number;
  readonly atEnd: number;
  /** least cost of a cell, for the estimate of what is left */
  readonly cheapest: number;
  /** how much too high the estimate of what is left is taken: above 1 quicker, and a little longer */
  readonly eager: number;
  /** cells that may be looked at before it is given up */
  readonly most: number;
}

/**
 * The cheapest way along the axes from cell to cell, legs never shorter than bends need. A* over
 * cells and directions of travel; the cells of its corners with both ends, undefined where there is
 * none.
 */
export function searchWay(input: SearchInput): number[] | undefined {
  const { grid, field, hops, from, to, cheapest } = input;
  if (!isReached(hops, from)) return undefined;
  const { counts, strides } = grid;
  const [nx, ny] = counts;
  const best = new Float32Array(grid.size * 6).fill(Infinity);
  const cameFrom = new Int32Array(grid.size * 6).fill(-1);
  const closed = new Uint8Array(grid.size * 6);
  const heap = new MinHeap();
  const indexAlong = (cell: number, axis: 0 | 1 | 2): number =>
    axis === 0 ? cell % nx : axis === 1 ? Math.floor(cell / nx) % ny : Math.floor(cell / (nx * ny));
  const goal = [indexAlong(to, 0), indexAlong(to, 1), indexAlong(to, 2)] as const;
  const left = (cell: number, direction: number): number => {
    let turns = 0;
    for (const axis of [0, 1, 2] as const) {
      const off = goal[axis] - indexAlong(cell, axis);
      const { axis: heading, by } = entryAt(steps, direction);
      if (off !== 0 && (heading !== axis || Math.sign(off) !== by)) turns += 1;
    }
    return input.eager * ((hops[cell] as number) * cheapest * CELL + turns * TURN);
  };
  const costOf = (cell: number): number => field[cell] as number;
  /** Moves so many cells; what it costs, or undefined where something is in the way. */
  const moved = (cell: number, step: Step, cells: number): [number, number] | undefined => {
    const stride = step.by * entryAt(strides, step.axis);
    const index = indexAlong(cell, step.axis);
    const end = index + step.by * cells;
    if (end < 0 || end >= entryAt(counts, step.axis)) return undefined;
    let at = cell;
    let cost = 0;
    for (let k = 0; k < cells; k++) {
      at += stride;
      const here = at === to ? Math.max(costOf(at), cheapest) : costOf(at);
      if (here === 0) return undefined;
      cost += here * CELL;
    }
    return [at, cost];
  };
  /** Cells to the goal straight ahead along a step; undefined where it lies elsewhere. */
  const cellsAhead = (cell: number, { axis, by }: Step): number | undefined => {
    for (const other of [0, 1, 2] as const) {
      if (other !== axis && indexAlong(cell, other) !== goal[other]) return undefined;
    }
    const off = (goal[axis] - indexAlong(cell, axis)) * by;
    return off > 0 ? off : undefined;
  };
  const offer = (state: number, cost: number, before: number): void => {
    if (closed[state] || cost >= (best[state] as number)) return;
    best[state] = cost;
    cameFrom[state] = before;
    heap.push(state, cost + left(Math.floor(state / 6), state % 6));
  };
  steps.forEach((step, direction) => {
    const first = moved(from, step, input.atEnd);
    if (first) offer(first[0] * 6 + direction, first[1], -1);
  });
  let seen = 0;
  for (let state = heap.pop(); state !== undefined; state = heap.pop()) {
    if (closed[state]) continue;
    closed[state] = 1;
    if (++seen > input.most) return undefined;
    const cell = Math.floor(state / 6);
    const direction = state % 6;
    if (cell === to) return cornersFrom(state, cameFrom, from);
    const cost = best[state] as number;
    const { axis } = entryAt(steps, direction);
    const ahead = moved(cell, entryAt(steps, direction), 1);
    if (ahead) offer(ahead[0] * 6 + direction, cost + ahead[1], state);
    for (let turn = 0; turn < 6; turn++) {
      const step = entryAt(steps, turn);
      if (step.axis === axis) continue;
      const next = moved(cell, step, input.between);
      if (next) offer(next[0] * 6 + turn, cost + TURN + next[1], state);
      // The last leg needs room for one bend only.
      const last = cellsAhead(cell, step);
      if (last === undefined || last < input.atEnd || last >= input.between) continue;
      const end = moved(cell, step, last);
      if (end) offer(end[0] * 6 + turn, cost + TURN + end[1], state);
    }
  }
  return undefined;
}

/** Cells where the way turns, with both ends, from its last state. */
function cornersFrom(last: number, cameFrom: Int32Array, from: number): number[] {
  const corners: number[] = [Math.floor(last / 6)];
  let state = last;
  for (;;) {
    const before = cameFrom[state] as number;
    if (before < 0) break;
    if (before % 6 !== state % 6) corners.push(Math.floor(before / 6));
    state = before;
  }
  corners.push(from);
  return corners.reverse();
}
