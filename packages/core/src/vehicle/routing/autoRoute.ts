import { entryAt, finished } from '../../numerics/index.ts';
import type { MountingLine } from '../../model/index.ts';
import type { Box } from '../geometry/distances.ts';
import { type RoutePath, type RoutePoint, pointAt, shapeOf } from '../geometry/path.ts';
import { type Vector, distanceBetween } from '../geometry/vector.ts';
import {
  type Fault,
  type VehicleAround,
  type WayCheck,
  checkWay,
  faultKey,
  faultsOf,
} from '../obstacles/index.ts';
import { nearestOf } from '../routes/routedLine.ts';
import { type CostField, type LineToLead, RAIL, costField } from './costField.ts';
import { CELL, type Grid, cellAt, eachCellIn, gridOver, placeOfCell } from './grid.ts';
import { hopsTo } from './hops.ts';
import { searchWay } from './search.ts';
import { holesMet, shiftedToEnds } from './snapped.ts';
import { railShare } from './railShare.ts';
import { straightened } from './straightened.ts';

/** A way that is proposed: never one that a check stops. */
export interface ProposedWay {
  /** corners between the two ends, each with its bend radius */
  readonly corners: readonly RoutePoint[];
  readonly length: number;
  readonly bends: number;
  /** rad */
  readonly bendAngle: number;
  /** what leaves it least beyond the room that is asked, m; undefined: nothing is near */
  readonly margin: number | undefined;
  /** clearance m to the hot pipe that leaves it least */
  readonly heatClearance: number | undefined;
  /** share of it that runs beside mounting lines */
  readonly onRails: number;
  readonly highest: number;
  readonly lowest: number;
  /** the place half way along it, and the side of the vehicle that is */
  readonly middle: Vector;
  readonly side: 'left' | 'right' | 'middle';
  /** pass-throughs that it takes, by name */
  readonly holes: readonly string[];
  /** what stands against it, none of it a stop */
  readonly faults: readonly Fault[];
}

export interface AutoRouteInput {
  readonly line: LineToLead;
  readonly around: VehicleAround;
  readonly mountingLines: readonly MountingLine[];
  /** the vehicle's own box, m */
  readonly bounds: Box;
}

/** How far beyond its two ends a way is looked for along the vehicle, and above them, m. */
const BEYOND = 0.8;
const ABOVE = 0.5;
/** Cells that are looked at before a search is given up. */
const MOST = 600_000;
/** The estimate of what is left is taken a little too high: quicker, and hardly longer. */
const EAGER = 1.15;
const EAGER_GATED = 1.6;
/** A way runs on a side when its middle lies so far from the middle of the vehicle, m. */
const ASIDE = 0.1;
const MOST_PROPOSALS = 3;
/** Of two ways on one side the heights of their middles differ by so much at least, m. */
const OTHER_HEIGHT = 0.15;

/** Gates that ways are led through half way, one a search: none, on either side, high, low. */
const gates = ['none', 'left', 'right', 'high', 'low'] as const;
type Gate = (typeof gates)[number];

/** A way led to a side passes so far from the straight line between its ends, m. */
const GATE = 0.12;

/**
 * The field with a gate closed across the middle third between the ends: ways have to pass on one
 * side of the straight line between them.
 */
function gated(field: CostField, grid: Grid, line: LineToLead, gate: Gate): CostField {
  if (gate === 'none') return field;
  const { from, to } = line;
  const main = Math.abs(to[0] - from[0]) >= Math.abs(to[1] - from[1]) ? 0 : 1;
  const aside = gate === 'high' || gate === 'low' ? 2 : main === 0 ? 1 : 0;
  const sign = gate === 'left' || gate === 'high' ? 1 : -1;
  const [begin, end] = [
    from[main] + (to[main] - from[main]) / 3,
    to[main] - (to[main] - from[main]) / 3,
  ];
  const closed = new Float32Array(field);
  const low: [number, number, number] = [-Infinity, -Infinity, -Infinity];
  const high: [number, number, number] = [Infinity, Infinity, Infinity];
  low[main] = Math.min(begin, end);
  high[main] = Math.max(begin, end);
  eachCellIn(grid, { low, high }, (cell, x, y, z) => {
    const at: Vector = [x, y, z];
    const t = (at[main] - from[main]) / (to[main] - from[main] || 1);
    const straight = from[aside] + t * (to[aside] - from[aside]);
    if (sign * (at[aside] - straight) < GATE) closed[cell] = 0;
  });
  return closed;
}

function searchBox({ line: { from, to }, bounds, around }: AutoRouteInput): Box {
  const span = (axis: 0 | 1 | 2, by: number): [number, number] => [
    Math.max(bounds.low[axis], Math.min(from[axis], to[axis]) - by),
    Math.min(bounds.high[axis], Math.max(from[axis], to[axis]) + by),
  ];
  const [x0, x1] = span(0, BEYOND);
  const [, z1] = span(2, ABOVE);
  return {
    low: [x0, bounds.low[1], Math.min(from[2], to[2], around.lowestAllowed)],
    high: [x1, bounds.high[1], Math.max(z1, from[2], to[2])],
  };
}

/** A fault that a check would stop a way for. */
export const stopsWay = ({ kind }: Fault, check: WayCheck): boolean => {
  switch (kind) {
    case 'solid':
    case 'sheet':
      return true;
    case 'hot':
      return (check.near.hot?.clearance ?? 1) <= 0;
    case 'moving':
      return (check.near.moving?.clearance ?? 1) <= 0;
    default:
      return false;
  }
};

function checked(
  points: readonly RoutePoint[],
  { line, around }: AutoRouteInput,
):
  | { readonly path: RoutePath; readonly check: WayCheck; readonly faults: readonly Fault[] }
  | undefined {
  const shape = shapeOf(points);
  if (!shape.ok) return undefined;
  const check = checkWay(shape.path, around, line);
  return { path: shape.path, check, faults: faultsOf(check, around) };
}

function proposalOf(points: readonly RoutePoint[], input: AutoRouteInput): ProposedWay | undefined {
  const found = checked(points, input);
  if (!found) return undefined;
  const { path, check, faults } = found;
  if (faults.some((fault) => stopsWay(fault, check))) return undefined;
  const middle = pointAt(path, path.length / 2) ?? input.line.from;
  const zs = points.map((p) => p.at[2]);
  return {
    corners: points.slice(1, -1),
    length: path.length,
    bends: path.bends.length,
    bendAngle: path.bends.reduce((sum, bend) => sum + bend.angle, 0),
    margin: nearestOf(check)?.margin,
    heatClearance: check.near.hot?.clearance,
    onRails: railShare(points, input.mountingLines),
    highest: Math.max(...zs),
    lowest: check.lowest,
    middle,
    side: middle[1] > ASIDE ? 'left' : middle[1] < -ASIDE ? 'right' : 'middle',
    holes: check.crossings.flatMap(({ hole }) => (hole ? [hole.name] : [])),
    faults,
  };
}

/** Whether two ways truly differ: by side, by the holes they take, or by height. */
const differ = (a: ProposedWay, b: ProposedWay): boolean =>
  a.side !== b.side ||
  a.holes.join() !== b.holes.join() ||
  Math.abs(a.middle[2] - b.middle[2]) > OTHER_HEIGHT;

/** Best first: fewest things against it, then what it costs in length and bends. */
const byWorth = (a: ProposedWay, b: ProposedWay): number =>
  a.faults.length - b.faults.length || worth(a) - worth(b);
const BEND_WORTH = 0.15;
const RAIL_WORTH = 0.35;
const worth = (way: Pick<ProposedWay, 'length' | 'onRails' | 'bends'>): number =>
  way.length * (1 - RAIL_WORTH * way.onRails) + BEND_WORTH * way.bends;

function worthOf(points: readonly RoutePoint[], mountingLines: readonly MountingLine[]): number {
  const length = points
    .slice(1)
    .reduce((sum, p, i) => sum + distanceBetween(entryAt(points, i).at, p.at), 0);
  return worth({ length, onRails: railShare(points, mountingLines), bends: points.length - 2 });
}

/** How far a search has come: so many of so many ways looked for. */
export interface AutoRouteProgress {
  readonly done: number;
  readonly of: number;
  readonly ways: readonly ProposedWay[];
}

/**
 * Looks for up to three ways between two ports that truly differ, best first: A* on a grid of
 * 25 mm with clearances and mounting lines in its costs, straightened, bent with the radius of the
 * line and checked by the checks of the map. Yields after each search, so that it may be given up.
 */
export function* autoRoute(
  input: AutoRouteInput,
): Generator<AutoRouteProgress, readonly ProposedWay[]> {
  const { line, around } = input;
  const grid = gridOver(searchBox(input), line.from);
  const field = costField({ grid, around, mountingLines: input.mountingLines, line });
  const [from, to] = [cellAt(grid, line.from), cellAt(grid, line.to)];
  const atEnd = Math.ceil(line.radius / CELL + 0.5);
  const between = Math.ceil((2 * line.radius) / CELL + 0.5);
  const straight = proposalOf(endPoints(line, []), input);
  let ways: ProposedWay[] = straight?.faults.length === 0 ? [straight] : [];
  for (const [done, gate] of gates.entries()) {
    const open = gated(field, grid, line, gate);
    const cells = searchWay({
      grid,
      field: open,
      hops: hopsTo(grid, open, to, from),
      from,
      to,
      between,
      atEnd,
      cheapest: RAIL,
      eager: gate === 'none' ? EAGER : EAGER_GATED,
      most: MOST,
    });
    if (cells) {
      const raw = shiftedToEnds(
        cells.map((cell) => placeOfCell(grid, cell)),
        line,
      );
      const corners = holesMet(raw, around);
      const bent = (places: readonly Vector[]): readonly RoutePoint[] => endPoints(line, places);
      const points = straightened(
        bent(corners.slice(1, -1)),
        (candidate) => checked(candidate, input)?.faults.map(faultKey),
        (candidate) => worthOf(candidate, input.mountingLines),
      );
      const way = proposalOf(points, input);
      if (way) ways = withWay(ways, way);
    }
    yield { done: done + 1, of: gates.length, ways };
  }
  return ways;
}

/** The ways between two ports, all searches run. */
export function waysBetween(input: AutoRouteInput): readonly ProposedWay[] {
  return finished(autoRoute(input));
}

/** A way joins those that are there where it differs, or takes the place of one it betters. */
function withWay(ways: readonly ProposedWay[], way: ProposedWay): ProposedWay[] {
  const alike = ways.find((other) => !differ(other, way));
  const rest = ways.filter((other) => other !== alike);
  const better = alike && byWorth(alike, way) <= 0 ? alike : way;
  return [...rest, better].sort(byWorth).slice(0, MOST_PROPOSALS);
}

const endPoints = (line: LineToLead, places: readonly Vector[]): RoutePoint[] => [
  { at: line.from, radius: 0 },
  ...places.map((at) => ({ at, radius: line.radius })),
  { at: line.to, radius: 0 },
];
