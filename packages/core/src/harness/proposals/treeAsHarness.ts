import { entryAt } from '../../numerics/index.ts';
import type { Catalogue } from '../../catalogue/index.ts';
import type { ElectricDesign } from '../../electrics/index.ts';
import {
  type Breakout,
  type Harness,
  type MountingLine,
  ORDER_STEP,
  type Placement,
  type Vehicle,
} from '../../model/index.ts';
import { quantity } from '../../quantities/index.ts';
import {
  type Vector,
  type VehicleAround,
  distanceBetween,
  shapeOf,
  vectorOf,
  wayAsPoints,
} from '../../vehicle/index.ts';
import { bundleThickness } from '../bundles/bundleThickness.ts';
import { freeKey } from '../commands/index.ts';
import { standingNodes } from '../lengths/ledSegment.ts';
import type { SegmentEnd, StoredHarness } from '../model.ts';
import { plainSegment } from '../plainSegment.ts';
import { type NodeKey, breakoutNode, nodeOfEnd, placeNode } from '../topology/harnessNode.ts';
import { HarnessTree } from '../topology/harnessTree.ts';
import type { ProposedTree } from './corridorTree.ts';
import { laidWay, lengthOf, rounded } from './laidWay.ts';

/** What a harness is proposed for. */
export interface HarnessWish {
  readonly electrics: Pick<ElectricDesign, 'wires'>;
  readonly harness: Harness;
  readonly placements: readonly Placement[];
  /** where the ways begin: the ECU’s place */
  readonly rootPlacementId: string;
  readonly around: VehicleAround;
  readonly mountingLines: readonly MountingLine[];
  readonly vehicle: Vehicle;
  readonly catalogue: Catalogue;
}

/** A harness that is proposed, with what it comes to. */
export interface ProposedHarness {
  readonly breakouts: StoredHarness['breakouts'];
  readonly segments: StoredHarness['segments'];
  /** way of all wires along it, and straight from end to end, m */
  readonly wayLength: number;
  readonly lowerBound: number;
  /** where segments lead into something, as far as can be told without a build that has them */
  readonly faults: number;
  /** places that nothing leads to */
  readonly unreached: readonly string[];
}

/** Two places that a wire joins, and how wide it is, m. */
export interface Pair {
  readonly from: string;
  readonly to: string;
  readonly diameter: number;
}
/** Wires are sized anew on their new ways: a bundle may come out so much thicker, m. */
const TO_GROW = 0.002;
/** Usual loop where a branch comes onto the engine, mm. */
const LOOP = 80;

const mm = (metres: number) => quantity(Math.round(metres * 1e4) / 10, 'length', 'mm');

/** What is settled of a harness: its segments, and the nodes that they end at. */
export function settledOf({ harness, placements }: HarnessWish) {
  const segments = harness.segments.filter(({ locked }) => locked);
  const ends = new Map<NodeKey, SegmentEnd>();
  for (const { from, to } of segments) {
    for (const end of [from, to]) ends.set(nodeOfEnd(end), end);
  }
  for (const { id, locked } of harness.breakouts) {
    if (locked) ends.set(breakoutNode(id), { at: 'breakout', breakoutId: id });
  }
  const standing = standingNodes({ harness, placements });
  return { segments, ends, standing };
}

/** A tree as the harness that it would be stored as: corners left out, bends as wide as they go. */
export function treeAsHarness(
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
  const settled = settledOf(wish);
  const keptBreakouts = wish.harness.breakouts.filter(({ id }) =>
    settled.ends.has(breakoutNode(id)),
  );
  const taken: Record<string, unknown> = Object.fromEntries(
    wish.harness.breakouts.map(({ id }) => [id, true]),
  );
  const ids = tree.nodes.map(({ terminal }) => {
    if (terminal !== undefined) return '';
    const id = freeKey('b', taken);
    taken[id] = true;
    return id;
  });
  const placeOfNode = new Map([...places.values()].map((place) => [placeNode(place.id), place]));
  const keys = tree.nodes.map(({ terminal }, i) => terminal ?? breakoutNode(entryAt(ids, i)));
  const breakouts: Record<string, Omit<Breakout, 'id'>> = Object.fromEntries(
    keptBreakouts.map(({ id, ...kept }) => [id, kept]),
  );
  tree.nodes.forEach(({ at, terminal }, i) => {
    if (terminal !== undefined) return;
    const near = nearestPlace(at);
    const [x, y, z] = rounded(at);
    breakouts[entryAt(ids, i)] = {
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
  const nodeTree = new HarnessTree([
    ...tree.branches.map(({ from, to }, i) => ({
      id: `${i}`,
      from: entryAt(keys, from),
      to: entryAt(keys, to),
      length: 1,
    })),
    ...settled.segments.map(({ id, from, to }) => ({
      id: `settled ${id}`,
      from: nodeOfEnd(from),
      to: nodeOfEnd(to),
      length: 1,
    })),
  ]);
  const within = tree.branches.map((): number[] => []);
  const routes = pairs.map(({ from, to }) =>
    nodeTree.way({ node: placeNode(from) }, { node: placeNode(to) }),
  );
  routes.forEach((route, i) => {
    const { diameter } = entryAt(pairs, i);
    for (const { segmentId } of route?.parts ?? []) within[Number(segmentId)]?.push(diameter);
  });
  const settledLengths = new Map<string, number>(
    settled.segments.map(({ id, from, to, points }) => {
      const [a, b] = [from, to].map((end) => settled.standing.get(nodeOfEnd(end))?.at);
      const way = a && b ? [a, ...points.map(vectorOf), b] : [];
      return [`settled ${id}`, lengthOf(way.map((at) => ({ at, radius: 0 })))] as const;
    }),
  );
  const lengths: number[] = [];
  let faults = 0;
  const segments: Record<string, StoredHarness['segments'][string]> = Object.fromEntries(
    settled.segments.map(({ id, points, ...kept }, i) => [
      id,
      {
        ...kept,
        order: ORDER_STEP * (i + 1),
        points: Object.fromEntries(
          points.map(({ id: corner, ...point }, k) => [
            corner,
            { ...point, order: ORDER_STEP * (k + 1) },
          ]),
        ),
      },
    ]),
  );
  const used: Record<string, unknown> = { ...segments };
  const endOf = (node: number): SegmentEnd => {
    const { terminal } = entryAt(tree.nodes, node);
    if (terminal === undefined) return { at: 'breakout', breakoutId: entryAt(ids, node) };
    const place = placeOfNode.get(terminal);
    const kept = settled.ends.get(terminal);
    return kept ?? { at: 'place', placementId: place?.id ?? '' };
  };
  const named = (node: number): string => {
    const end = endOf(node);
    return end.at === 'place'
      ? (places.get(end.placementId)?.name ?? '')
      : (breakouts[end.breakoutId]?.name.split(',')[0] ?? '');
  };
  const moves = (node: number): boolean => {
    const end = endOf(node);
    return end.at === 'place'
      ? (places.get(end.placementId)?.movesWithEngine ?? false)
      : (breakouts[end.breakoutId]?.movesWithEngine ?? false);
  };
  tree.branches.forEach(({ from, to, corners }, i) => {
    const ends = [from, to].map((node) => {
      const { at, terminal } = entryAt(tree.nodes, node);
      return terminal === undefined ? rounded(at) : at;
    });
    const thick =
      bundleThickness(entryAt(within, i), wish.harness.school, wish.catalogue) + TO_GROW;
    const { points, faults: left } = laidWay(
      [entryAt(ends, 0), ...corners, entryAt(ends, 1)],
      thick,
      wish.around,
    );
    faults += left;
    const shape = shapeOf(points);
    lengths.push(
      shape.ok ? shape.path.length : distanceBetween(entryAt(ends, 0), entryAt(ends, 1)),
    );
    const id = freeKey('s', used);
    used[id] = true;
    segments[id] = {
      order: ORDER_STEP * (settled.segments.length + i + 1),
      name: `${named(from)} to ${named(to).toLowerCase()}`.slice(0, 80),
      from: endOf(from),
      to: endOf(to),
      ...plainSegment,
      points: wayAsPoints(points.slice(1, -1)),
      loop: quantity(moves(from) !== moves(to) ? LOOP : 0, 'length', 'mm'),
    };
  });
  const wayLength = routes.reduce(
    (sum, route) =>
      sum +
      (route?.parts ?? []).reduce(
        (all, { segmentId }) =>
          all + (settledLengths.get(segmentId) ?? lengths[Number(segmentId)] ?? 0),
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
    faults,
  };
}
