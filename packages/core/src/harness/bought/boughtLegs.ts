import type { BoughtHarness, BoughtLeg, Harness } from '../../model/index.ts';
import {
  type Result,
  type Sourced,
  byDefault,
  derive,
  entered,
  together,
} from '../../results/index.ts';
import type { Vector } from '../../vehicle/index.ts';
import { harnessFigure } from '../figureNames.ts';
import type { LedSegment } from '../lengths/ledSegment.ts';
import type { LegDirection } from '../model.ts';
import { placeNode } from '../topology/harnessNode.ts';
import type { HarnessTree, HarnessWay, WayPart } from '../topology/harnessTree.ts';
import * as f from './formulas.ts';

/** A leg of a bought loom as it lies on the map. */
export interface LedLeg {
  readonly loomId: string;
  readonly legId: string;
  readonly name: string;
  readonly placementId: string;
  /** m as it was bought */
  readonly bought: number;
  /** undefined: the harness does not lead there */
  readonly way: HarnessWay | undefined;
  /** m from the plug to where its way turns off the trunk */
  readonly shared: number;
  /** which way it turns off the trunk there; undefined: it goes with it to the end */
  readonly turns: LegDirection | undefined;
  readonly length: Result;
  readonly needed: Result | undefined;
  readonly slack: Result | undefined;
}

/** On along the trunk up to 60° from it, back from 120°. */
const ON = Math.cos(Math.PI / 3);

interface Read {
  readonly harness: Harness;
  readonly tree: HarnessTree;
  readonly segments: ReadonlyMap<string, LedSegment>;
}

const sameStretch = (a: WayPart | undefined, b: WayPart | undefined): boolean =>
  a !== undefined && b !== undefined && a.segmentId === b.segmentId && a.to === b.to;

/** How many stretches two ways from one place have in common at their beginning. */
export function commonStretches(a: HarnessWay, b: HarnessWay): number {
  let count = 0;
  while (sameStretch(a.parts[count], b.parts[count])) count += 1;
  return count;
}

/** Direction of travel at the beginning, or end, of a stretch. */
function directionAt(
  part: WayPart | undefined,
  at: 'beginning' | 'end',
  segments: Read['segments'],
): Vector | undefined {
  const points = part && segments.get(part.segmentId)?.points;
  if (!part || !points || points.length < 2) return undefined;
  const forward = part.to > part.from;
  const inOrder = forward ? points : [...points].reverse();
  const [a, b] = at === 'beginning' ? inOrder.slice(0, 2) : inOrder.slice(-2);
  if (!a || !b) return undefined;
  const along = b.at.map((value, k) => value - (a.at[k] ?? 0));
  const length = Math.hypot(...along);
  return length > 0 ? (along.map((value) => value / length) as unknown as Vector) : undefined;
}

/** Which way a leg turns off a trunk that it shares so many stretches with. */
function turnOf(
  leg: HarnessWay,
  trunk: HarnessWay,
  shared: number,
  segments: Read['segments'],
): LegDirection | undefined {
  if (shared === 0 || shared >= trunk.parts.length || shared >= leg.parts.length) return undefined;
  const before = directionAt(leg.parts[shared - 1], 'end', segments);
  const after = directionAt(leg.parts[shared], 'beginning', segments);
  if (!before || !after) return undefined;
  const cosine = before.reduce((all, value, k) => all + value * (after[k] ?? 0), 0);
  if (cosine >= ON) return 'on';
  return cosine <= -ON ? 'back' : 'square';
}

const lengthOfStretches = (parts: readonly WayPart[], segments: Read['segments']): number =>
  parts.reduce(
    (all, { segmentId, from, to }) =>
      all + Math.abs(to - from) * (segments.get(segmentId)?.length.value ?? 0),
    0,
  );

/** Every leg of the looms that are bought: what it needs on the map, and what is left of it. */
export const boughtLegs = (read: Read): readonly LedLeg[] =>
  read.harness.bought.flatMap((loom) => legsOf(loom, read));

function legsOf(loom: BoughtHarness, { harness, tree, segments }: Read): readonly LedLeg[] {
  const plug = { node: placeNode(loom.placementId) };
  const ways = new Map(
    loom.legs.map((leg) => [leg.id, tree.way(plug, { node: placeNode(leg.placementId) })]),
  );
  // The trunk leads to the leg that leaves it last.
  const last = loom.legs
    .filter(({ id }) => ways.get(id) !== undefined)
    .reduce<BoughtLeg | undefined>(
      (best, leg) => (best && reach(best, ways) >= reach(leg, ways) ? best : leg),
      undefined,
    );
  const trunk = last && ways.get(last.id);
  const told = new Map(harness.segments.map((segment) => [segment.id, segment]));
  return loom.legs.map((leg): LedLeg => {
    const path = ['harness', 'bought', loom.id, 'legs', leg.id];
    const of = { loom: loom.id, leg: leg.id };
    const way = ways.get(leg.id);
    const stretches = way && trunk ? commonStretches(way, trunk) : 0;
    const shared = way ? lengthOfStretches(way.parts.slice(0, stretches), segments) : 0;
    const length = derive({
      figure: harnessFigure('leg.length', of),
      label: `${leg.name}, length of its leg`,
      formula: f.legLength,
      inputs: {
        bought: entered(leg.length, [...path, 'length']),
        changed: entered(leg.changed, [...path, 'changed']),
      },
    });
    const needed =
      way &&
      derive({
        figure: harnessFigure('leg.needed', of),
        label: `${leg.name}, length that its leg needs`,
        formula: f.legNeed,
        inputs: {
          segments: together(
            way.parts.flatMap(({ segmentId }) => segments.get(segmentId)?.length ?? []),
          ),
          leavesAt: entered(leg.leavesAt, [...path, 'leavesAt']),
          shared: byDefault(
            leg.id === last?.id ? Math.max(shared, leg.leavesAt.value) : shared,
            'way that it has in common with the trunk',
          ),
          loops: together(
            way.parts.flatMap(({ segmentId }): Sourced<number>[] => {
              const loop = told.get(segmentId)?.loop;
              return loop ? [entered(loop, ['harness', 'segments', segmentId, 'loop'])] : [];
            }),
          ),
        },
      });
    return {
      loomId: loom.id,
      legId: leg.id,
      name: leg.name,
      placementId: leg.placementId,
      bought: leg.length.value,
      way,
      shared,
      turns:
        way && trunk && leg.id !== last?.id ? turnOf(way, trunk, stretches, segments) : undefined,
      length,
      needed,
      slack:
        needed &&
        derive({
          figure: harnessFigure('leg.slack', of),
          label: `${leg.name}, slack of its leg`,
          formula: f.legSlack,
          inputs: { length, needed },
        }),
    };
  });
}

/** How far out on the trunk a leg goes: where it leaves, then how long its way is. */
const reach = (leg: BoughtLeg, ways: ReadonlyMap<string, HarnessWay | undefined>): number =>
  leg.leavesAt.value * 1e3 + (ways.get(leg.id)?.length ?? 0);
