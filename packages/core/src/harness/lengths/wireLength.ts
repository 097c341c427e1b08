import type { DerivedWire, Netlist } from '../../electrics/index.ts';
import type { CutWire, Harness } from '../../model/index.ts';
import {
  type Result,
  type Sourced,
  byDefault,
  derive,
  entered,
  following,
  together,
} from '../../results/index.ts';
import type { LedLeg } from '../bought/boughtLegs.ts';
import { harnessFigure } from '../figureNames.ts';
import type { HarnessWay, WayPart } from '../topology/harnessTree.ts';
import { TWIST, endAllowance, isTwisted, layFactor } from './allowances.ts';
import * as f from './formulas.ts';
import type { LedSegment } from './ledSegment.ts';

/** What the lengths of the wires of a harness follow from. */
export interface LengthsInput {
  readonly harness: Harness;
  readonly segments: readonly LedSegment[];
  readonly legs: readonly LedLeg[];
  /** parts by the nodes of their pins */
  readonly owner: ReadonlyMap<string, Netlist['parts'][number]>;
  /** parts whose signals are shielded */
  readonly shielded: ReadonlySet<string>;
}

/** How long a wire is, and how long it has to be. */
export interface WireLengths {
  readonly length: Result;
  /** by its way, with what is allowed for its ends; undefined where that is how long it is */
  readonly needed: Result | undefined;
  /** the leg of a bought loom that it lies in */
  readonly leg: LedLeg | undefined;
  readonly cut: CutWire | undefined;
}

/** What the length of one wire follows from. */
export interface WireFacts {
  readonly way: HarnessWay;
  readonly cut: CutWire | undefined;
  readonly leg: LedLeg | undefined;
  /** of each segment on its way: how long it is, and its service loop, m */
  readonly segments: readonly Result[];
  readonly loops: readonly number[];
  /** splices sit on segments, so that a wire may run a share of one */
  readonly hasSplices: boolean;
  readonly school: Harness['school'];
  readonly twisted: boolean;
  /** what is allowed for its two ends, m */
  readonly ends: readonly number[];
}

/** Looks up what the lengths of wires follow from. */
export class WireLengthBook {
  private readonly told;
  private readonly lengths;
  private readonly cut;
  private readonly legOf;

  constructor(private readonly input: LengthsInput) {
    const { harness, segments, legs } = input;
    this.told = new Map(harness.segments.map((segment) => [segment.id, segment]));
    this.lengths = new Map(segments.map(({ id, length }) => [id, length]));
    this.cut = new Map(harness.cut.map((wire) => [wire.wireId, wire]));
    this.legOf = legsByPlaces(harness, legs);
  }

  /** What the length of a wire follows from that runs a way. */
  factsOf(wire: DerivedWire, way: HarnessWay): WireFacts {
    const { harness, owner, shielded } = this.input;
    const cut = this.cut.get(wire.id);
    return {
      way,
      cut,
      leg: cut ? undefined : this.legOf(wire),
      segments: way.parts.flatMap(({ segmentId }) => this.lengths.get(segmentId) ?? []),
      loops: way.parts.map(({ segmentId }) => this.told.get(segmentId)?.loop.value ?? 0),
      hasSplices: harness.splices.length > 0,
      school: harness.school,
      twisted: isTwisted(wire, shielded),
      ends: [wire.from, wire.to].map((end) => endAllowance(end, owner.get(end.node))),
    };
  }
}

/** How long a wire is: as it is cut, as the leg that it lies in, else as its way asks. */
export function wireLengths(wire: DerivedWire, facts: WireFacts): WireLengths {
  const { cut, leg } = facts;
  const figure = harnessFigure('wire.harnessLength', { wire: wire.id });
  if (cut) {
    const length = derive({
      figure,
      label: `${wire.name}, length as cut`,
      formula: f.wireAsCut,
      inputs: { cut: entered(cut.length, ['harness', 'cut', wire.id, 'length']) },
    });
    const needed = harnessFigure('wire.needed', { wire: wire.id });
    return { cut, leg, length, needed: byWay(wire, facts, needed) };
  }
  if (leg) {
    const length = derive({
      figure,
      label: `${wire.name}, length in its leg`,
      formula: f.wireInLeg,
      inputs: { leg: leg.length },
    });
    return { cut, leg, length, needed: undefined };
  }
  return { cut, leg, length: byWay(wire, facts, figure), needed: undefined };
}

const byWay = (
  wire: DerivedWire,
  { way, segments, loops, hasSplices, school, twisted, ends }: WireFacts,
  figure: ReturnType<typeof harnessFigure>,
): Result =>
  derive({
    figure,
    label: `${wire.name}, length in the harness`,
    formula: f.wireInHarness,
    inputs: {
      segments: together(segments),
      shares: sharesOf(way.parts, hasSplices),
      loops: together(
        way.parts.map(({ segmentId }, i) =>
          entered(loops[i] ?? 0, ['harness', 'segments', segmentId, 'loop']),
        ),
      ),
      twist: byDefault(twisted ? TWIST : 1, twisted ? 'twisted pair' : 'single'),
      lay: byDefault(
        layFactor(school),
        school === 'sealed' ? 'twisted layers, pitch ten diameters' : 'laid straight',
      ),
      ends: byDefault(ends, '60 mm at a plug, 150 at a controller, 30 at a stud or splice'),
      breakouts: byDefault(way.through.length, 'breakouts on its way'),
    },
  });

/** The leg in which a wire between two places lies: one of them its plug’s, the other its end’s. */
function legsByPlaces(
  harness: Harness,
  legs: readonly LedLeg[],
): (wire: Pick<DerivedWire, 'from' | 'to'>) => LedLeg | undefined {
  const plugs = new Map(harness.bought.map(({ id, placementId }) => [id, placementId]));
  const byPlaces = new Map(
    legs.flatMap((leg) => {
      const plug = plugs.get(leg.loomId) ?? '';
      return [
        [`${plug} ${leg.placementId}`, leg] as const,
        [`${leg.placementId} ${plug}`, leg] as const,
      ];
    }),
  );
  return ({ from, to }) => byPlaces.get(`${from.placementId} ${to.placementId}`);
}

const sharesOf = (parts: readonly WayPart[], hasSplices: boolean): Sourced<readonly number[]> => {
  const shares = parts.map(({ from, to }) => Math.abs(to - from));
  const partly = parts.filter((_, i) => (shares[i] ?? 1) < 1);
  return partly.length > 0 && hasSplices
    ? following(shares, ['harness', 'splices'])
    : byDefault(shares, 'the whole of each');
};
