import type { Harness, HarnessSegment, Placement, Zone } from '../../model/index.ts';
import { memoByValue } from '../../numerics/index.ts';
import { type Result, derive, entered, following, together } from '../../results/index.ts';
import {
  type RoutePath,
  type RoutePoint,
  type RouteRefusal,
  type Vector,
  developedLength,
  flat,
  shapeOf,
  vectorOf,
} from '../../vehicle/index.ts';
import { harnessFigure } from '../figureNames.ts';
import { type NodeKey, breakoutNode, nodeOfEnd, placeNode } from '../topology/harnessNode.ts';
import * as f from './formulas.ts';

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
}: {
  readonly harness: Pick<Harness, 'breakouts'>;
  readonly placements: readonly Placement[];
}): ReadonlyMap<NodeKey, Standing> {
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

/** A segment as it runs over the vehicle; undefined where an end is not there, or both are one place. */
export function ledSegment(
  segment: HarnessSegment,
  nodes: ReadonlyMap<NodeKey, Standing>,
): LedSegment | undefined {
  const [begin, end] = [nodes.get(nodeOfEnd(segment.from)), nodes.get(nodeOfEnd(segment.to))];
  return begin && end && ledBetween(segment, begin, end);
}

/** It runs as before while its ends stand where they stood. */
const ledBetween = memoByValue(runOf);

function runOf(segment: HarnessSegment, begin: Standing, end: Standing): LedSegment | undefined {
  const from = nodeOfEnd(segment.from);
  const to = nodeOfEnd(segment.to);
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
