import { entryAt } from '../../numerics/index.ts';
import type { Netlist } from '../../electrics/index.ts';
import type { Breakout, Harness, MountingLine, Placement, Vehicle } from '../../model/index.ts';
import { quantity } from '../../quantities/index.ts';
import {
  type RoutePoint,
  type Vector,
  type VehicleAround,
  checkWay,
  distanceBetween,
  faultKey,
  faultsOf,
  shapeOf,
  straightened,
  vehicleBox,
  vectorOf,
  wayAsPoints,
} from '../../vehicle/index.ts';
import { isCable } from '../lengths/allowances.ts';
import type { StoredHarness } from '../model.ts';
import { HarnessTree } from '../topology/harnessTree.ts';
import { type Terminal, corridorsFor, searchCell, waysBack } from './corridors.ts';
import { type ProposedTree, corridorTree, wayBack } from './corridorTree.ts';

/** What a harness is proposed for. */
export interface HarnessWish {
  readonly netlist: Pick<Netlist, 'wires'>;
  readonly harness: Harness;
  readonly placements: readonly Placement[];
  /** where the ways begin: the ECU’s place */
  readonly rootPlacementId: string;
  readonly around: VehicleAround;
  readonly mountingLines: readonly MountingLine[];
  readonly vehicle: Vehicle;
}

/** A harness that is proposed, with what it comes to. */
export interface ProposedHarness {
  readonly breakouts: StoredHarness['breakouts'];
  readonly segments: StoredHarness['segments'];
  /** way of all wires along it, and straight from end to end, m */
  readonly wayLength: number;
  readonly lowerBound: number;
  /** places that nothing leads to */
  readonly unreached: readonly string[];
}

/** How far a search has come: so many of so many passes, and the best harness so far. */
export interface HarnessProgress {
  readonly done: number;
  readonly of: number;
  readonly best: ProposedHarness | undefined;
}

/** What a metre beside a bundle costs in each pass: the first shares nothing. */
const DISCOUNTS = [1, 0.75, 0.55] as const;
/** A breakout, and a metre of segment, cost as much as so much more wire, m. */
const PER_BREAKOUT = 0.15;
const PER_METRE = 0.6;
/** Wires of a bundle that nobody has sized are taken to be so wide, m. */
const WIRE = 0.0021;
/** Places come in steps of, mm. */
const STEP = 5;
/** Usual loop where a branch comes onto the engine, mm. */
const LOOP = 80;
const ORDER_STEP = 1000;

const rounded = (at: Vector): Vector =>
  at.map((value) => (Math.round((value * 1e3) / STEP) * STEP) / 1e3) as unknown as Vector;

const mm = (metres: number) => quantity(Math.round(metres * 1e4) / 10, 'length', 'mm');

interface Pair {
  readonly from: string;
  readonly to: string;
}

/** Looks for a harness that joins every place at which wires end, pass after pass. */
export function* proposeHarness(wish: HarnessWish): Generator<HarnessProgress, HarnessProgress> {
  const places = new Map(wish.placements.map((place) => [place.id, place]));
  const pairs = wish.netlist.wires.flatMap((wire): Pair[] =>
    isCable(wire) || wire.from.placementId === wire.to.placementId
      ? []
      : [{ from: wire.from.placementId, to: wire.to.placementId }],
  );
  const wanted = [...new Set(pairs.flatMap(({ from, to }) => [from, to]))];
  const terminalOf = (id: string): Terminal[] => {
    const place = places.get(id);
    return place ? [{ id, at: vectorOf(place) }] : [];
  };
  const [root] = terminalOf(wish.rootPlacementId);
  const terminals = wanted.filter((id) => id !== wish.rootPlacementId).flatMap(terminalOf);
  const of = DISCOUNTS.length;
  if (!root || terminals.length === 0) return { done: of, of, best: undefined };
  const corridors = corridorsFor({
    terminals: [root, ...terminals],
    around: wish.around,
    mountingLines: wish.mountingLines,
    bounds: vehicleBox(wish.vehicle),
  });
  const rootCell = searchCell(corridors, searchOrigin(corridors, root), root.at);
  let best: { readonly harness: ProposedHarness; readonly cost: number } | undefined;
  const shared = new Set<number>();
  let done = 0;
  for (const discount of DISCOUNTS) {
    const ways = waysBack(corridors, [rootCell], shared, discount);
    const reached = terminals.filter(
      ({ at }) => wayBack(ways, searchCell(corridors, rootCell, at)) !== undefined,
    );
    const tree = corridorTree(corridors, ways, root, rootCell, reached);
    const harness = asHarness(tree, pairs, wish, places);
    const unreached = terminals.filter((each) => !reached.includes(each)).map(({ id }) => id);
    const cost = costOf(harness, tree);
    if (!best || cost < best.cost) best = { harness: { ...harness, unreached }, cost };
    // The next pass goes beside what this one laid.
    for (const { at } of reached) {
      for (const cell of wayBack(ways, searchCell(corridors, rootCell, at)) ?? []) {
        if (corridors.inOwn[cell] === 0) shared.add(cell);
      }
    }
    done += 1;
    yield { done, of, best: best.harness };
  }
  return { done, of, best: best?.harness };
}

const searchOrigin = (corridors: ReturnType<typeof corridorsFor>, root: Terminal): number => {
  const { grid } = corridors;
  const index = (axis: 0 | 1 | 2): number => Math.round((root.at[axis] - grid.low[axis]) / 0.025);
  return index(0) + index(1) * grid.strides[1] + index(2) * grid.strides[2];
};

const costOf = (harness: Omit<ProposedHarness, 'unreached'>, tree: ProposedTree): number =>
  harness.wayLength +
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

/** A tree as the harness that it would be stored as: corners left out, bends as wide as they go. */
function asHarness(
  tree: ProposedTree,
  pairs: readonly Pair[],
  wish: HarnessWish,
  places: ReadonlyMap<string, Placement>,
): Omit<ProposedHarness, 'unreached'> {
  const nearestPlace = (at: Vector): Placement | undefined => {
    let found: Placement | undefined;
    let least = Infinity;
    for (const place of places.values()) {
      const far = distanceBetween(vectorOf(place), at);
      if (far < least) {
        least = far;
        found = place;
      }
    }
    return found;
  };
  const keys = tree.nodes.map(({ terminal }, i) => terminal ?? `b${i}`);
  const breakouts: Record<string, Omit<Breakout, 'id'>> = {};
  tree.nodes.forEach(({ at, terminal }, i) => {
    if (terminal !== undefined) return;
    const near = nearestPlace(at);
    const [x, y, z] = rounded(at);
    breakouts[`b${i}`] = {
      name: `Breakout ${Object.keys(breakouts).length + 1}, by ${(near?.name ?? 'the frame').toLowerCase()}`.slice(
        0,
        80,
      ),
      x: mm(x),
      y: mm(y),
      z: mm(z),
      zone: near?.zone ?? 'body',
      movesWithEngine: false,
      locked: false,
    };
  });
  const nodeTree = new HarnessTree(
    tree.branches.map(({ from, to }, i) => ({
      id: `${i}`,
      from: entryAt(keys, from),
      to: entryAt(keys, to),
      length: 1,
    })),
  );
  const counts = tree.branches.map(() => 0);
  const routes = pairs.map(({ from, to }) => nodeTree.way({ node: from }, { node: to }));
  for (const route of routes) {
    for (const { segmentId } of route?.parts ?? [])
      counts[Number(segmentId)] = (counts[Number(segmentId)] ?? 0) + 1;
  }
  const lengths: number[] = [];
  const segments: Record<string, StoredHarness['segments'][string]> = {};
  const named = (node: number): string => {
    const { terminal } = entryAt(tree.nodes, node);
    return terminal === undefined
      ? (breakouts[entryAt(keys, node)]?.name.split(',')[0] ?? '')
      : (places.get(terminal)?.name ?? terminal);
  };
  const endOf = (node: number): StoredHarness['segments'][string]['from'] => {
    const { terminal } = entryAt(tree.nodes, node);
    return terminal === undefined
      ? { at: 'breakout', breakoutId: entryAt(keys, node) }
      : { at: 'place', placementId: terminal };
  };
  const moves = (node: number): boolean => {
    const { terminal } = entryAt(tree.nodes, node);
    return terminal !== undefined && (places.get(terminal)?.movesWithEngine ?? false);
  };
  tree.branches.forEach(({ from, to, corners }, i) => {
    const ends = [from, to].map((node) => {
      const { at, terminal } = entryAt(tree.nodes, node);
      return terminal === undefined ? rounded(at) : at;
    });
    const thick = 1.3 * Math.sqrt(Math.max(1, entryAt(counts, i))) * WIRE + 0.0015;
    const points = laid([entryAt(ends, 0), ...corners, entryAt(ends, 1)], thick, wish.around);
    const shape = shapeOf(points);
    lengths.push(
      shape.ok ? shape.path.length : distanceBetween(entryAt(ends, 0), entryAt(ends, 1)),
    );
    segments[`s${i + 1}`] = {
      order: ORDER_STEP * (i + 1),
      name: `${named(from)} to ${named(to).toLowerCase()}`.slice(0, 80),
      from: endOf(from),
      to: endOf(to),
      points: wayAsPoints(points.slice(1, -1)),
      cover: null,
      heatSleeve: false,
      loop: quantity(moves(from) !== moves(to) ? LOOP : 0, 'length', 'mm'),
      measured: null,
      locked: false,
    };
  });
  const wayLength = routes.reduce(
    (sum, route) =>
      sum +
      (route?.parts ?? []).reduce(
        (all, { segmentId }) => all + (lengths[Number(segmentId)] ?? 0),
        0,
      ),
    0,
  );
  const straight = ({ from, to }: Pair): number => {
    const [a, b] = [places.get(from), places.get(to)];
    return a && b ? distanceBetween(vectorOf(a), vectorOf(b)) : 0;
  };
  return {
    breakouts,
    segments,
    wayLength,
    lowerBound: pairs.reduce((sum, pair) => sum + straight(pair), 0),
  };
}

/** Shares of the radius that is asked, widest first. */
const SHARES = [1, 0.8, 0.6, 0.45, 0.3, 0.15, 0] as const;
/** A way may leave the cells that it was found on by so much, m: less where that is in its way. */
const NEAR_ENOUGH = [0.03, 0.015, 0.005] as const;
/** A corner is worth so much way, m. */
const CORNER = 0.08;

const lengthOf = (points: readonly RoutePoint[]): number =>
  points.slice(1).reduce((sum, { at }, i) => sum + distanceBetween(at, entryAt(points, i).at), 0);

/** A way over cells as few corners with bends, none of which brings a fault. */
function laid(
  places: readonly Vector[],
  thick: number,
  around: VehicleAround,
): readonly RoutePoint[] {
  const radius = 6 * thick;
  const faults = (way: readonly RoutePoint[]): readonly string[] | undefined => {
    const shape = shapeOf(way);
    if (!shape.ok) return undefined;
    const check = checkWay(shape.path, around, { outsideDiameter: thick, sleeve: false });
    return faultsOf(check, around)
      .filter(({ kind }) => kind !== 'cabin' && kind !== 'splash')
      .map(faultKey);
  };
  const worth = (way: readonly RoutePoint[]): number => lengthOf(way) + CORNER * way.length;
  let straight: readonly RoutePoint[] = [];
  for (const off of NEAR_ENOUGH) {
    const corners = simplified(places, off);
    const points = corners.map((at, i): RoutePoint => ({
      at: i === 0 || i === corners.length - 1 ? at : rounded(at),
      radius: 0,
    }));
    straight = straightened(points, faults, worth);
    if (faults(straight)?.length === 0) break;
  }
  const bent = (share: number): readonly RoutePoint[] =>
    straight.map((point, i) =>
      i === 0 || i === straight.length - 1
        ? point
        : { ...point, radius: Math.ceil((radius * share) / 0.005) * 0.005 },
    );
  return SHARES.map(bent).find((way) => shapeOf(way).ok) ?? straight;
}

/** The corners of a way that lie further than so much from the line through those kept. */
function simplified(places: readonly Vector[], off: number): readonly Vector[] {
  const [first, last] = [places[0], places.at(-1)];
  if (!first || !last || places.length <= 2) return places;
  let worst = 0;
  let at = 0;
  for (let i = 1; i + 1 < places.length; i++) {
    const far = offLine(entryAt(places, i), first, last);
    if (far > worst) {
      worst = far;
      at = i;
    }
  }
  if (worst <= off) return [first, last];
  return [
    ...simplified(places.slice(0, at + 1), off).slice(0, -1),
    ...simplified(places.slice(at), off),
  ];
}

function offLine(place: Vector, from: Vector, to: Vector): number {
  const d = to.map((value, k) => value - (from[k] ?? 0));
  const p = place.map((value, k) => value - (from[k] ?? 0));
  const square = d.reduce((sum, value) => sum + value * value, 0);
  const t =
    square === 0
      ? 0
      : Math.min(
          1,
          Math.max(0, p.reduce((sum, value, k) => sum + value * (d[k] ?? 0), 0) / square),
        );
  return Math.hypot(...p.map((value, k) => value - t * (d[k] ?? 0)));
}
