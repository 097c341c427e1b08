import { MinHeap, entryAt } from '../../numerics/index.ts';
import type { MountingLine } from '../../model/index.ts';
import {
  type Box,
  type Grid,
  type Obstacle,
  type Vector,
  type VehicleAround,
  boundsOfShape,
  cellAt,
  costField,
  eachCellIn,
  gridOver,
  pointToBox,
} from '../../vehicle/index.ts';

/** A place that wires end at, and how many do. */
export interface Terminal {
  readonly id: string;
  readonly at: Vector;
}

/** In a solid that something is fastened to a metre costs so much: the shortest way out is taken. */
const IN_OWN_SOLID = 8;
/** So far around its place a wire may come nearer to heat and movement than is asked, at a price. */
const BESIDE = 0.32;
const IN_THE_WAY = 14;
/** A bundle is taken to be so thick where nobody knows yet, m, and bent with so much. */
const THICK = 0.014;
const BENT = 0.06;
/** Beyond the outermost places ways are looked for so far, m. */
const BEYOND = 0.35;
/** Neighbouring places of the search are so many cells of the grid apart. */
export const STRIDE = 2;

/** Whether a thing holds a place, or has it at its skin. */
const holds = (thing: Obstacle, at: Vector): boolean =>
  (thing.kind === 'solid' || thing.kind === 'component') &&
  pointToBox(at, boundsOfShape(thing.shape)).distance <= THICK;

/** The room in which a harness may run: what a metre costs, and which cells lie in own solids. */
export interface Corridors {
  readonly grid: Grid;
  readonly field: Float32Array;
  readonly inOwn: Uint8Array;
}

/** Everywhere that bundles may run between some places. */
export function corridorsFor(input: {
  readonly terminals: readonly Terminal[];
  readonly around: VehicleAround;
  readonly mountingLines: readonly MountingLine[];
  readonly bounds: Box;
}): Corridors {
  const { terminals, around, mountingLines, bounds } = input;
  const axis = (k: 0 | 1 | 2): readonly [number, number] => {
    const all = terminals.map(({ at }) => at[k]);
    return [
      Math.min(...all, Math.max(bounds.low[k], Math.min(...all) - BEYOND)),
      Math.max(...all, Math.min(bounds.high[k], Math.max(...all) + BEYOND)),
    ];
  };
  const [x, y, z] = [axis(0), axis(1), axis(2)];
  const origin = entryAt(terminals, 0).at;
  const grid = gridOver({ low: [x[0], y[0], z[0]], high: [x[1], y[1], z[1]] }, origin);
  const own = around.obstacles.filter((thing) => terminals.some(({ at }) => holds(thing, at)));
  const others = around.obstacles.filter((thing) => !own.includes(thing));
  const fieldAmong = (obstacles: readonly Obstacle[]): Float32Array =>
    costField({
      grid,
      around: { ...around, obstacles },
      mountingLines,
      line: {
        from: origin,
        to: origin,
        outsideDiameter: THICK,
        radius: BENT,
        sleeve: false,
        fuel: false,
      },
    });
  const field = fieldAmong(others);
  const inOwn = new Uint8Array(grid.size);
  for (const thing of own) {
    const box = boundsOfShape(thing.shape);
    const low = box.low.map((value) => value - THICK) as unknown as Vector;
    const high = box.high.map((value) => value + THICK) as unknown as Vector;
    eachCellIn(grid, { low, high }, (cell) => {
      inOwn[cell] = 1;
      field[cell] = (field[cell] as number) * IN_OWN_SOLID;
    });
  }
  // A sensor in an exhaust, or on a hub: what it sits beside is left by the shortest way.
  const hard = fieldAmong(others.filter(({ kind }) => kind === 'solid' || kind === 'component'));
  for (const { at } of terminals) {
    const low = at.map((value) => value - BESIDE) as unknown as Vector;
    const high = at.map((value) => value + BESIDE) as unknown as Vector;
    eachCellIn(grid, { low, high }, (cell, cx, cy, cz) => {
      if (field[cell] !== 0 || hard[cell] === 0) return;
      if (Math.hypot(cx - at[0], cy - at[1], cz - at[2]) <= BESIDE) field[cell] = IN_THE_WAY;
    });
  }
  // What stands in the way of its own place is left at any price.
  for (const { at } of terminals) {
    const cell = cellAt(grid, at);
    if (field[cell] === 0) field[cell] = IN_OWN_SOLID;
  }
  return { grid, field, inOwn };
}

/** The ways from every cell back to where they begin: the cell before, −1 at a beginning. */
export interface WaysBack {
  readonly before: Int32Array;
  readonly cost: Float64Array;
}

const moves: readonly (readonly [number, number, number])[] = [-1, 0, 1].flatMap((i) =>
  [-1, 0, 1].flatMap((j) =>
    [-1, 0, 1].flatMap((k): [number, number, number][] =>
      i === 0 && j === 0 && k === 0 ? [] : [[i, j, k]],
    ),
  ),
);

/**
 * The cheapest ways from some cells to all others, over cells that are a stride apart, in all 26
 * directions. Where a share is given for a cell, a metre costs so much less: there is a bundle.
 */
export function waysBack(
  { grid, field }: Corridors,
  from: readonly number[],
  shared: ReadonlySet<number>,
  discount: number,
): WaysBack {
  const { counts, strides } = grid;
  const before = new Int32Array(grid.size).fill(-2);
  const cost = new Float64Array(grid.size).fill(Infinity);
  const done = new Uint8Array(grid.size);
  const open = new MinHeap();
  const priceOf = (cell: number): number => {
    const price = field[cell] as number;
    return shared.has(cell) ? price * discount : price;
  };
  for (const cell of from) {
    before[cell] = -1;
    cost[cell] = 0;
    open.push(cell, 0);
  }
  const [nx, ny, nz] = counts;
  for (let cell = open.pop(); cell !== undefined; cell = open.pop()) {
    if (done[cell]) continue;
    done[cell] = 1;
    const x = cell % nx;
    const y = Math.floor(cell / nx) % ny;
    const z = Math.floor(cell / (nx * ny));
    for (const [i, j, k] of moves) {
      const [tx, ty, tz] = [x + STRIDE * i, y + STRIDE * j, z + STRIDE * k];
      if (tx < 0 || ty < 0 || tz < 0 || tx >= nx || ty >= ny || tz >= nz) continue;
      const step = i * strides[0] + j * strides[1] + k * strides[2];
      const middle = cell + step;
      const to = middle + step;
      if (done[to]) continue;
      const [a, b] = [priceOf(middle), priceOf(to)];
      if (a === 0 || b === 0) continue;
      const next = (cost[cell] as number) + ((a + b) / 2) * Math.sqrt(i * i + j * j + k * k);
      if (next >= (cost[to] as number)) continue;
      cost[to] = next;
      before[to] = cell;
      open.push(to, next);
    }
  }
  return { before, cost };
}

/** The cell of the search nearest to a place: one that is so many strides from the beginning. */
export function searchCell({ grid, field }: Corridors, origin: number, at: Vector): number {
  const { counts, strides } = grid;
  const [nx, ny] = counts;
  const index = (cell: number): readonly [number, number, number] => [
    cell % nx,
    Math.floor(cell / nx) % ny,
    Math.floor(cell / (nx * ny)),
  ];
  const begin = index(origin);
  const wanted = index(cellAt(grid, at));
  let best = origin;
  let least = Infinity;
  // Of the cells on the search's own lattice around it, the nearest that is open.
  for (let i = -STRIDE; i <= STRIDE; i++) {
    for (let j = -STRIDE; j <= STRIDE; j++) {
      for (let k = -STRIDE; k <= STRIDE; k++) {
        const cell = [wanted[0] + i, wanted[1] + j, wanted[2] + k] as const;
        const onLattice = cell.every((value, n) => (value - (begin[n] ?? 0)) % STRIDE === 0);
        const inside = cell.every((value, n) => value >= 0 && value < (counts[n] ?? 0));
        if (!onLattice || !inside) continue;
        const number = cell[0] * strides[0] + cell[1] * strides[1] + cell[2] * strides[2];
        const far = i * i + j * j + k * k + (field[number] === 0 ? 100 : 0);
        if (far >= least) continue;
        least = far;
        best = number;
      }
    }
  }
  return best;
}
