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

/** Lengths of wires in a harness: as they are cut, as the leg that they lie in, else as their way asks. */
export class WireLengthBook {
  private readonly told;
  private readonly lengths;
  private readonly cut;
  private readonly legOf;
  private readonly lay;

  constructor(private readonly input: LengthsInput) {
    const { harness, segments, legs } = input;
    this.told = new Map(harness.segments.map((segment) => [segment.id, segment]));
    this.lengths = new Map(segments.map(({ id, length }) => [id, length]));
    this.cut = new Map(harness.cut.map((wire) => [wire.wireId, wire]));
    this.legOf = legsByPlaces(harness, legs);
    this.lay = byDefault(
      layFactor(harness.school),
      harness.school === 'sealed' ? 'twisted layers, pitch ten diameters' : 'laid straight',
    );
  }

  /** How long a wire is that runs a way. */
  of(wire: DerivedWire, way: HarnessWay): WireLengths {
    const cut = this.cut.get(wire.id);
    const leg = this.legOf(wire);
    const figure = harnessFigure('wire.harnessLength', { wire: wire.id });
    if (cut) {
      const length = derive({
        figure,
        label: `${wire.name}, length as cut`,
        formula: f.wireAsCut,
        inputs: { cut: entered(cut.length, ['harness', 'cut', wire.id, 'length']) },
      });
      const needed = harnessFigure('wire.needed', { wire: wire.id });
      return { cut, leg: undefined, length, needed: this.byWay(wire, way, needed) };
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
    return { cut, leg, length: this.byWay(wire, way, figure), needed: undefined };
  }

  private byWay(
    wire: DerivedWire,
    { parts, through }: HarnessWay,
    figure: ReturnType<typeof harnessFigure>,
  ): Result {
    const { harness, owner, shielded } = this.input;
    const twisted = isTwisted(wire, shielded);
    const loops = parts.map(({ segmentId }): Sourced<number> => {
      const loop = this.told.get(segmentId)?.loop ?? { value: 0 };
      return entered(loop, ['harness', 'segments', segmentId, 'loop']);
    });
    return derive({
      figure,
      label: `${wire.name}, length in the harness`,
      formula: f.wireInHarness,
      inputs: {
        segments: together(parts.flatMap(({ segmentId }) => this.lengths.get(segmentId) ?? [])),
        shares: sharesOf(parts, harness),
        loops: together(loops),
        twist: byDefault(twisted ? TWIST : 1, twisted ? 'twisted pair' : 'single'),
        lay: this.lay,
        ends: allowancesOf(wire, owner),
        breakouts: byDefault(through.length, 'breakouts on its way'),
      },
    });
  }
}

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
