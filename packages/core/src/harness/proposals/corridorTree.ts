import { entryAt } from '../../numerics/index.ts';
import { type Vector, distanceBetween, placeOfCell } from '../../vehicle/index.ts';
import { type Corridors, type Terminal, type WaysBack, searchCell } from './corridors.ts';

/** A branch of a proposed harness: from a node over corners to another. */
export interface ProposedBranch {
  readonly from: number;
  readonly to: number;
  readonly corners: readonly Vector[];
}

/** Nodes of a proposed harness, its roots first; of terminals with their id. */
export interface ProposedTree {
  readonly nodes: readonly { readonly at: Vector; readonly terminal: string | undefined }[];
  readonly branches: readonly ProposedBranch[];
}

/** Breakouts nearer than this become one, m. */
const ONE_BREAKOUT = 0.09;

/** The cells from a terminal back to where the ways begin. */
export function wayBack({ before }: WaysBack, cell: number): number[] | undefined {
  const cells: number[] = [];
  for (let at = cell; at >= 0; at = entryAt(before, at)) {
    cells.push(at);
    if (entryAt(before, at) === -2) return undefined;
  }
  return cells;
}

/** What comes after a cell of the tree: other cells, and terminals. */
interface Fork {
  readonly cells: Set<number>;
  readonly terminals: Set<number>;
}

/**
 * The cheapest ways from some roots to some terminals: a tree on each root. What of a way lies within the solid
 * that its end belongs to is left to the end: no branches part in there.
 */
export function corridorTree(
  corridors: Corridors,
  ways: WaysBack,
  roots: readonly { readonly root: Terminal; readonly cell: number }[],
  terminals: readonly Terminal[],
): ProposedTree {
  const { grid, inOwn } = corridors;
  const forks = new Map<number, Fork>();
  const atRoots = roots.map((): Fork => ({ cells: new Set(), terminals: new Set() }));
  const [origin] = roots;
  const forkAt = (cell: number): Fork => {
    const known = forks.get(cell) ?? { cells: new Set(), terminals: new Set() };
    forks.set(cell, known);
    return known;
  };
  terminals.forEach((terminal, i) => {
    const begin = searchCell(corridors, origin?.cell ?? 0, terminal.at);
    const cells = wayBack(ways, begin) ?? [];
    const atRoot = entryAt(
      atRoots,
      Math.max(
        0,
        roots.findIndex(({ cell }) => cell === cells.at(-1)),
      ),
    );
    const free = cells.map((cell) => inOwn[cell] === 0);
    const first = free.indexOf(true);
    const last = free.lastIndexOf(true);
    const outside = first < 0 ? [] : cells.slice(first, last + 1);
    const [exit] = outside;
    if (exit === undefined) {
      atRoot.terminals.add(i);
      return;
    }
    forkAt(exit).terminals.add(i);
    atRoot.cells.add(entryAt(outside, outside.length - 1));
    // From the terminal to the root: each cell follows the one after it.
    for (let k = 0; k + 1 < outside.length; k++) {
      forkAt(entryAt(outside, k + 1)).cells.add(entryAt(outside, k));
    }
  });
  const nodes: { at: Vector; terminal: string | undefined }[] = roots.map(({ root }) => ({
    at: root.at,
    terminal: root.id,
  }));
  const branches: ProposedBranch[] = [];
  const placeOf = (cell: number): Vector => placeOfCell(grid, cell);
  const toTerminal = (from: number, corners: readonly Vector[], i: number): void => {
    const { at, id } = entryAt(terminals, i);
    nodes.push({ at, terminal: id });
    branches.push({ from, to: nodes.length - 1, corners });
  };
  const walk = (from: number, start: number): void => {
    const corners: Vector[] = [];
    for (let cell = start; ;) {
      const fork = forkAt(cell);
      const [next] = fork.cells;
      const [terminal] = fork.terminals;
      if (fork.cells.size + fork.terminals.size === 1) {
        corners.push(placeOf(cell));
        if (terminal !== undefined) return toTerminal(from, corners, terminal);
        cell = next as number;
        continue;
      }
      // Branches part here: a breakout, unless there is one close by.
      const at = placeOf(cell);
      const near = nodes[from];
      const joins =
        near?.terminal === undefined && near && distanceBetween(near.at, at) < ONE_BREAKOUT;
      let node = from;
      if (!joins) {
        nodes.push({ at, terminal: undefined });
        node = nodes.length - 1;
        branches.push({ from, to: node, corners });
      }
      for (const each of fork.terminals) toTerminal(node, [], each);
      for (const each of fork.cells) walk(node, each);
      return;
    }
  };
  atRoots.forEach((atRoot, root) => {
    for (const i of atRoot.terminals) toTerminal(root, [], i);
    for (const cell of atRoot.cells) walk(root, cell);
  });
  return { nodes, branches };
}
