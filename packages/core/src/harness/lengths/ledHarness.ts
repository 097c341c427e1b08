import type { DerivedWire, Netlist, WireEnd } from '../../electrics/index.ts';
import type { HardPoint, Harness, HarnessSegment, Placement, Zone } from '../../model/index.ts';
import {
  type Result,
  type Sourced,
  byDefault,
  derive,
  entered,
  following,
  given,
  fromResult,
  together,
} from '../../results/index.ts';
import {
  type RoutePath,
  type RoutePoint,
  type RouteRefusal,
  developedLength,
  distanceBetween,
  flat,
  lengthUncertainty,
  placeUncertainty,
  pointAt,
  shapeOf,
  vectorOf,
} from '../../vehicle/index.ts';
import type { Vector } from '../../vehicle/index.ts';
import { harnessFigure } from '../figureNames.ts';
import { type NodeKey, breakoutNode, nodeOfEnd, placeNode } from '../topology/harnessNode.ts';
import { HarnessTree, type TreePoint, type WayPart } from '../topology/harnessTree.ts';
import { TWIST, endAllowance, isCable, isTwisted, layFactor, shieldedParts } from './allowances.ts';
import * as f from './formulas.ts';

/** A length typed or measured is good to so much, m. */
const BY_TAPE = 0.005;

/** A segment as it runs over the vehicle. */
export interface LedSegment {
  readonly id: string;
  readonly from: NodeKey;
  readonly to: NodeKey;
  /** corners with both ends */
  readonly points: readonly RoutePoint[];
  readonly refusals: readonly RouteRefusal[];
  readonly path: RoutePath | undefined;
  /** it runs from what moves with the engine to what does not, or back */
  readonly crossesToEngine: boolean;
  /** whether its ends are places with plugs or studs, or else breakouts */
  readonly endsAtPlace: readonly [boolean, boolean];
  /** zones of its two ends */
  readonly zones: readonly [Zone, Zone];
  /** best known, m */
  readonly length: Result;
  /** along the map, m */
  readonly mapLength: Result;
}

/** A wire as it runs through the harness. */
export interface LedWire {
  readonly wireId: string;
  readonly parts: readonly WayPart[];
  readonly breakouts: number;
  /** nodes that it passes between its ends */
  readonly through: readonly NodeKey[];
  /** m along the segments, and straight from end to end */
  readonly wayLength: number;
  readonly straight: number;
  readonly length: Result;
  /** how well that is known, m */
  readonly uncertainty: Result;
}

/** Where the harness runs, and every wire in it. */
export interface LedHarness {
  readonly segments: readonly LedSegment[];
  readonly wires: readonly LedWire[];
  /** wires between two places that the harness does not join */
  readonly unled: readonly string[];
  /** segments that close a loop */
  readonly loops: readonly string[];
  /** segments whose two ends are one place, or whose end is not there */
  readonly broken: readonly string[];
  readonly results: readonly Result[];
}

export interface LedInput {
  readonly netlist: Pick<Netlist, 'parts' | 'wires'>;
  readonly harness: Harness;
  readonly placements: readonly Placement[];
  /** places that were measured with a tape */
  readonly hardPoints: readonly HardPoint[];
}

/** Where a node of a harness stands. */
export interface Standing {
  readonly at: Vector;
  readonly movesWithEngine: boolean;
  readonly zone: Zone;
}

/** Where each node of a harness stands. */
export function standingNodes({
  harness,
  placements,
}: Pick<LedInput, 'harness' | 'placements'>): ReadonlyMap<NodeKey, Standing> {
  return new Map<NodeKey, Standing>([
    ...placements.map(
      (place) =>
        [
          placeNode(place.id),
          { at: vectorOf(place), movesWithEngine: place.movesWithEngine, zone: place.zone },
        ] as const,
    ),
    ...harness.breakouts.map(
      (breakout) =>
        [
          breakoutNode(breakout.id),
          {
            at: vectorOf(breakout),
            movesWithEngine: breakout.movesWithEngine,
            zone: breakout.zone,
          },
        ] as const,
    ),
  ]);
}

function ledSegment(
  segment: HarnessSegment,
  nodes: ReadonlyMap<NodeKey, Standing>,
): LedSegment | undefined {
  const from = nodeOfEnd(segment.from);
  const to = nodeOfEnd(segment.to);
  const [begin, end] = [nodes.get(from), nodes.get(to)];
  if (!begin || !end) return undefined;
  const points: readonly RoutePoint[] = [
    { at: begin.at, radius: 0 },
    ...segment.points.map((point) => ({ at: vectorOf(point), radius: point.radius.value })),
    { at: end.at, radius: 0 },
  ];
  const shape = shapeOf(points);
  // Bends that do not fit are told; until then it is as long as from corner to corner.
  const radii = points.map(({ radius }) => (shape.ok ? radius : 0));
  if (!shape.ok && !shapeOf(points.map(({ at }) => ({ at, radius: 0 }))).ok) return undefined;
  const path = ['harness', 'segments', segment.id];
  const of = { segment: segment.id };
  const mapLength = derive({
    figure: harnessFigure('segment.mapLength', of),
    label: `${segment.name}, along the map`,
    formula: developedLength,
    inputs: {
      points: following(flat(points.map(({ at }) => at)), path),
      radii: following(radii, path),
    },
  });
  const length = derive({
    figure: harnessFigure('segment.length', of),
    label: `${segment.name}, length`,
    formula: f.bestSegmentLength,
    inputs: {
      known: together([
        ...(segment.measured ? [entered(segment.measured, [...path, 'measured'])] : []),
        mapLength,
      ]),
    },
  });
  return {
    id: segment.id,
    from,
    to,
    points,
    refusals: shape.ok ? [] : shape.refusals,
    path: shape.ok ? shape.path : undefined,
    endsAtPlace: [segment.from.at === 'place', segment.to.at === 'place'],
    zones: [begin.zone, end.zone],
    crossesToEngine: begin.movesWithEngine !== end.movesWithEngine,
    length,
    mapLength,
  };
}

/** The tree of a harness: what ways through it are looked up in. */
export const treeOf = (segments: readonly LedSegment[]): HarnessTree =>
  new HarnessTree(
    segments.map(({ id, from, to, length }) => ({ id, from, to, length: length.value })),
  );

/** Leads every wire through the harness. Nothing is moved and nothing is chosen here. */
export function ledHarness(input: LedInput): LedHarness {
  const { netlist, harness } = input;
  const nodes = standingNodes(input);
  const told = new Map(harness.segments.map((segment) => [segment.id, segment]));
  const segments = harness.segments.flatMap((segment) => ledSegment(segment, nodes) ?? []);
  const whole = new Set(segments.map(({ id }) => id));
  const lengths = new Map(segments.map(({ id, length }) => [id, length]));
  const tree = treeOf(segments);
  const owner = new Map(
    netlist.parts.flatMap((part) => part.pins.map(({ node }) => [node, part] as const)),
  );
  const sites = new Map(harness.splices.map((site) => [site.spliceId, site]));
  const pointOf = (end: WireEnd): TreePoint => {
    const site = sites.get(owner.get(end.node)?.id ?? '');
    return site && whole.has(site.segmentId)
      ? { segmentId: site.segmentId, share: site.share.value }
      : { node: placeNode(end.placementId) };
  };
  const placeOf = (end: WireEnd): Vector => {
    const point = pointOf(end);
    if ('node' in point) return nodes.get(point.node)?.at ?? [0, 0, 0];
    const segment = segments.find(({ id }) => id === point.segmentId);
    return (
      (segment?.path && pointAt(segment.path, point.share * segment.path.length)) ??
      segment?.points[0]?.at ?? [0, 0, 0]
    );
  };
  const places = new Map(input.placements.map((place) => [place.id, place]));
  const uncertaintyOf = (wire: DerivedWire): Sourced<readonly number[]> => {
    const known = wire.decision?.length;
    if (known?.measured ?? known?.typed) return byDefault([BY_TAPE], 'typed or measured');
    const ends = [wire.from, wire.to].map((end) => {
      const place = places.get(end.placementId);
      // A splice sits where it is put.
      return place && 'node' in pointOf(end)
        ? placeUncertainty(place, input.hardPoints)
        : byDefault(BY_TAPE, 'a splice sits where it is put');
    });
    return given(
      ends.map(({ value }) => value),
      ends.flatMap(({ from }) => from),
    );
  };
  const shielded = shieldedParts(netlist.wires);
  const lay = byDefault(
    layFactor(harness.school),
    harness.school === 'sealed' ? 'twisted layers, pitch ten diameters' : 'laid straight',
  );
  const wires: LedWire[] = [];
  const unled: string[] = [];
  for (const wire of netlist.wires) {
    const [a, b] = [pointOf(wire.from), pointOf(wire.to)];
    if ('node' in a && 'node' in b && a.node === b.node) continue;
    if (isCable(wire)) continue;
    const way = tree.way(a, b);
    if (!way) {
      unled.push(wire.id);
      continue;
    }
    const breakouts = way.through.length;
    const twisted = isTwisted(wire, shielded);
    const loops = way.parts.map(({ segmentId }): Sourced<number> => {
      const loop = told.get(segmentId)?.loop ?? { value: 0 };
      return entered(loop, ['harness', 'segments', segmentId, 'loop']);
    });
    wires.push({
      wireId: wire.id,
      parts: way.parts,
      breakouts,
      through: way.through,
      uncertainty: derive({
        figure: harnessFigure('wire.uncertainty', { wire: wire.id }),
        label: `${wire.name}, length known to ±`,
        formula: lengthUncertainty,
        inputs: { ends: uncertaintyOf(wire) },
      }),
      wayLength: way.length,
      straight: distanceBetween(placeOf(wire.from), placeOf(wire.to)),
      length: derive({
        figure: harnessFigure('wire.harnessLength', { wire: wire.id }),
        label: `${wire.name}, length in the harness`,
        formula: f.wireInHarness,
        inputs: {
          segments: together(way.parts.flatMap(({ segmentId }) => lengths.get(segmentId) ?? [])),
          shares: sharesOf(way.parts, harness),
          loops: together(loops),
          twist: byDefault(twisted ? TWIST : 1, twisted ? 'twisted pair' : 'single'),
          lay,
          ends: allowancesOf(wire, owner),
          breakouts: byDefault(breakouts, 'breakouts on its way'),
        },
      }),
    });
  }
  return {
    segments,
    wires,
    unled,
    loops: tree.loops().map(({ id }) => id),
    broken: harness.segments.filter(({ id }) => !whole.has(id)).map(({ id }) => id),
    results: [
      ...segments.flatMap(({ mapLength, length }) => [mapLength, length]),
      ...wires.flatMap(({ length, uncertainty }) => [length, uncertainty]),
    ],
  };
}

const sharesOf = (parts: readonly WayPart[], { splices }: Harness): Sourced<readonly number[]> => {
  const shares = parts.map(({ from, to }) => Math.abs(to - from));
  const partly = parts.filter((_, i) => (shares[i] ?? 1) < 1);
  return partly.length > 0 && splices.length > 0
    ? following(shares, ['harness', 'splices'])
    : byDefault(shares, 'the whole of each');
};

const allowancesOf = (
  wire: DerivedWire,
  owner: ReadonlyMap<string, Netlist['parts'][number]>,
): Sourced<readonly number[]> =>
  byDefault(
    [wire.from, wire.to].map((end) => endAllowance(end, owner.get(end.node))),
    '60 mm at a plug, 150 at a controller, 30 at a stud or splice',
  );

/** Lengths of wires in the harness, by wire, as inputs of other figures. */
export type HarnessLengths = Readonly<Record<string, Sourced<number>>>;

export const harnessLengthsOf = ({ wires }: Pick<LedHarness, 'wires'>): HarnessLengths =>
  Object.fromEntries(wires.map(({ wireId, length }) => [wireId, fromResult(length)]));
