import type { DerivedWire, Netlist, WireEnd } from '../../electrics/index.ts';
import type { CutWire, HardPoint, Harness, Placement } from '../../model/index.ts';
import { memoByValue } from '../../numerics/index.ts';
import {
  type Result,
  type Sourced,
  byDefault,
  derive,
  entered,
  fromResult,
  given,
} from '../../results/index.ts';
import {
  type Vector,
  distanceBetween,
  lengthUncertainty,
  placeUncertainty,
  pointAt,
} from '../../vehicle/index.ts';
import { type LedLeg, boughtLegs } from '../bought/boughtLegs.ts';
import { harnessFigure } from '../figureNames.ts';
import { type NodeKey, placeNode } from '../topology/harnessNode.ts';
import { HarnessTree, type TreePoint, type WayPart } from '../topology/harnessTree.ts';
import { isCable, shieldedParts } from './allowances.ts';
import { type LedSegment, ledSegment, standingNodes } from './ledSegment.ts';
import { type WireFacts, WireLengthBook, type WireLengths, wireLengths } from './wireLength.ts';

/** A length typed or measured is good to so much, m. */
const BY_TAPE = 0.005;

/** A wire as it runs through the harness. */
export interface LedWire extends WireLengths {
  readonly wireId: string;
  readonly parts: readonly WayPart[];
  readonly breakouts: number;
  /** nodes that it passes between its ends */
  readonly through: readonly NodeKey[];
  /** m along the segments, and straight from end to end */
  readonly wayLength: number;
  readonly straight: number;
  /** how well that is known, m */
  readonly uncertainty: Result;
}

/** Where the harness runs, and every wire in it. */
export interface LedHarness {
  readonly segments: readonly LedSegment[];
  readonly wires: readonly LedWire[];
  /** wires that are cut, led or not */
  readonly cut: readonly CutWire[];
  /** wires between two places that the harness does not join */
  readonly unled: readonly string[];
  /** segments that close a loop */
  readonly loops: readonly string[];
  /** segments whose two ends are one place, or whose end is not there */
  readonly broken: readonly string[];
  /** legs of looms that are bought */
  readonly legs: readonly LedLeg[];
  readonly results: readonly Result[];
}

export interface LedInput {
  readonly netlist: Pick<Netlist, 'parts' | 'wires'>;
  readonly harness: Harness;
  readonly placements: readonly Placement[];
  /** places that were measured with a tape */
  readonly hardPoints: readonly HardPoint[];
}

/** The tree of a harness: what ways through it are looked up in. */
export const treeOf = (segments: readonly LedSegment[]): HarnessTree =>
  new HarnessTree(
    segments.map(({ id, from, to, length }) => ({ id, from, to, length: length.value })),
  );

/** A wire along its way, as before while all that its lengths follow from is as it was. */
const ledWire = memoByValue(
  (
    wire: DerivedWire,
    facts: WireFacts,
    straight: number,
    ends: Sourced<readonly number[]>,
  ): LedWire => ({
    ...wireLengths(wire, facts),
    wireId: wire.id,
    parts: facts.way.parts,
    breakouts: facts.way.through.length,
    through: facts.way.through,
    uncertainty: derive({
      figure: harnessFigure('wire.uncertainty', { wire: wire.id }),
      label: `${wire.name}, length known to ±`,
      formula: lengthUncertainty,
      inputs: { ends },
    }),
    wayLength: facts.way.length,
    straight,
  }),
);

/** Leads every wire through the harness. Nothing is moved and nothing is chosen here. */
export function ledHarness(input: LedInput): LedHarness {
  const { netlist, harness } = input;
  const nodes = standingNodes(input);
  const segments = harness.segments.flatMap((segment) => ledSegment(segment, nodes) ?? []);
  const whole = new Set(segments.map(({ id }) => id));
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
  const legs = boughtLegs({
    harness,
    tree,
    segments: new Map(segments.map((segment) => [segment.id, segment])),
  });
  const shielded = shieldedParts(netlist.wires);
  const book = new WireLengthBook({ harness, segments, legs, owner, shielded });
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
    const straight = distanceBetween(placeOf(wire.from), placeOf(wire.to));
    wires.push(ledWire(wire, book.factsOf(wire, way), straight, uncertaintyOf(wire)));
  }
  return {
    segments,
    wires,
    unled,
    loops: tree.loops().map(({ id }) => id),
    legs,
    cut: harness.cut,
    broken: harness.segments.filter(({ id }) => !whole.has(id)).map(({ id }) => id),
    results: [
      ...segments.flatMap(({ mapLength, length }) => [mapLength, length]),
      ...wires.flatMap(({ length, needed, uncertainty }) => [
        length,
        ...(needed ? [needed] : []),
        uncertainty,
      ]),
      ...legs.flatMap(({ length, needed, slack }) => [
        length,
        ...(needed ? [needed] : []),
        ...(slack ? [slack] : []),
      ]),
    ],
  };
}

/** Lengths of wires in the harness, by wire, as inputs of other figures. */
export type HarnessLengths = Readonly<Record<string, Sourced<number>>>;

/** Lengths of what is led, and of wires that are cut and led by themselves. */
export const harnessLengthsOf = ({
  wires,
  cut,
}: Pick<LedHarness, 'wires' | 'cut'>): HarnessLengths =>
  Object.fromEntries([
    ...cut.map(
      ({ wireId, length }) =>
        [wireId, entered(length, ['harness', 'cut', wireId, 'length'])] as const,
    ),
    ...wires.map(({ wireId, length }) => [wireId, fromResult(length)] as const),
  ]);
