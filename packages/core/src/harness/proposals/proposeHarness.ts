import { entryAt } from '../../numerics/index.ts';
import { cellAt, distanceBetween, vehicleBox } from '../../vehicle/index.ts';
import { isCable } from '../lengths/allowances.ts';
import { type NodeKey, placeNode } from '../topology/harnessNode.ts';
import { type Terminal, type WaysBack, corridorsFor, searchCell, waysBack } from './corridors.ts';
import { type ProposedTree, corridorTree, wayBack } from './corridorTree.ts';
import {
  type HarnessWish,
  type Pair,
  type ProposedHarness,
  settledOf,
  treeAsHarness,
} from './treeAsHarness.ts';

/** How far a search has come: so many of so many passes, and the best harness so far. */
export interface HarnessProgress {
  readonly done: number;
  readonly of: number;
  readonly best: ProposedHarness | undefined;
}

/** What a metre beside a bundle costs in each pass: the first shares nothing. */
const DISCOUNTS = [1, 0.75, 0.55] as const;
/** So many places at which most wires end are tried as a beginning, besides the ECU's. */
const BUSIEST = 2;
/** A breakout, and a metre of segment, cost as much as so much more wire, m. */
const PER_BREAKOUT = 0.15;
const PER_METRE = 0.6;
/** A place that nothing leads to, and a segment that leads into something, outweigh much wire, m. */
const UNREACHED = 1000;
const PER_FAULT = 100;

/** The places at which most wires end, the busiest first. */
function busiest(pairs: readonly Pair[]): string[] {
  const counts = new Map<string, number>();
  for (const end of pairs.flatMap(({ from, to }) => [from, to])) {
    counts.set(end, (counts.get(end) ?? 0) + 1);
  }
  return [...counts].sort((a, b) => b[1] - a[1]).map(([place]) => place);
}

/**
 * Looks for a harness that joins every place at which wires end, pass after pass. What is settled
 * stays as it is, and everything else is led to it; else all of it begins at the ECU, or where most
 * wires end, whichever takes less.
 */
export function* proposeHarness(wish: HarnessWish): Generator<HarnessProgress, HarnessProgress> {
  const places = new Map(wish.placements.map((place) => [place.id, place]));
  const pairs = wish.electrics.wires.flatMap(({ wire, size }): Pair[] => {
    const [from, to] = [wire.from.placementId, wire.to.placementId];
    return isCable(wire) || from === to ? [] : [{ from, to, diameter: size.outsideDiameter }];
  });
  const wanted = [...new Set(pairs.flatMap(({ from, to }) => [from, to]))].map(placeNode);
  const settled = settledOf(wish);
  const terminalOf = (node: NodeKey): Terminal[] => {
    const standing = settled.standing.get(node);
    return standing ? [{ id: node, at: standing.at }] : [];
  };
  const beginnings: readonly (readonly NodeKey[])[] =
    settled.segments.length > 0
      ? [[...settled.ends.keys()]]
      : [...new Set([wish.rootPlacementId, ...busiest(pairs).slice(0, BUSIEST)])].map((place) => [
          placeNode(place),
        ]);
  const all = [...new Set([...beginnings.flat(), ...wanted])].flatMap(terminalOf);
  const of = DISCOUNTS.length * beginnings.length;
  const [first] = all;
  if (!first || all.length < 2) return { done: of, of, best: undefined };
  const corridors = corridorsFor({
    terminals: all,
    around: wish.around,
    mountingLines: wish.mountingLines,
    bounds: vehicleBox(wish.vehicle),
  });
  const origin = cellAt(corridors.grid, first.at);
  const wayOf = (ways: WaysBack, { at }: Terminal): number[] | undefined =>
    wayBack(ways, searchCell(corridors, origin, at));
  let best: { readonly harness: ProposedHarness; readonly cost: number } | undefined;
  let done = 0;
  for (const begin of beginnings) {
    const rooted = begin
      .flatMap(terminalOf)
      .map((root) => ({ root, cell: searchCell(corridors, origin, root.at) }));
    const cells = rooted.map(({ cell }) => cell);
    const terminals = wanted.filter((node) => !begin.includes(node)).flatMap(terminalOf);
    const shared = new Set<number>();
    for (const discount of DISCOUNTS) {
      const ways = waysBack(corridors, cells, shared, discount);
      const reached = terminals.filter((terminal) => wayOf(ways, terminal) !== undefined);
      const tree = corridorTree(corridors, ways, rooted, reached);
      const harness = treeAsHarness(tree, pairs, wish, places);
      const missed = new Set(terminals.filter((each) => !reached.includes(each)).map((t) => t.id));
      const unreached = wish.placements.flatMap(({ id }) =>
        missed.has(placeNode(id)) ? [id] : [],
      );
      const cost = costOf(harness, tree) + UNREACHED * unreached.length;
      if (!best || cost < best.cost) best = { harness: { ...harness, unreached }, cost };
      // The next pass goes beside what this one laid.
      for (const terminal of reached) {
        for (const cell of wayOf(ways, terminal) ?? []) {
          if (corridors.inOwn[cell] === 0) shared.add(cell);
        }
      }
      done += 1;
      yield { done, of, best: best.harness };
    }
  }
  return { done, of, best: best?.harness };
}

const costOf = (harness: Omit<ProposedHarness, 'unreached'>, tree: ProposedTree): number =>
  harness.wayLength +
  PER_FAULT * harness.faults +
  PER_BREAKOUT * Object.keys(harness.breakouts).length +
  PER_METRE *
    tree.branches.reduce((sum, { from, to, corners }) => {
      const points = [entryAt(tree.nodes, from).at, ...corners, entryAt(tree.nodes, to).at];
      return (
        sum +
        points
          .slice(1)
          .reduce((length, at, i) => length + distanceBetween(at, entryAt(points, i)), 0)
      );
    }, 0);
