import { type CommandOf, command, entryOf } from '../../model/command.ts';
import type { DocumentDraft } from '../../model/edit.ts';
import { itemRef, nullable, quantityField, text } from '../../model/spec.ts';
import { ORDER_STEP } from '../../model/writeBuild.ts';
import { wireName } from '../../electrics/commands/index.ts';
import { plainDevice } from '../../electrics/slices/plainDevice.ts';
import { type RoutePoint, type Vector, distanceBetween, vectorOf } from '../../vehicle/index.ts';
import { BARE_PLACE } from '../../vehicle/model.ts';
import type { SegmentEnd } from '../model.ts';
import { cutWireSpec } from '../slices/asMade.ts';
import { cornersOf, freeKey, inOrder, mm, partingOf, standsAt } from './partedSegment.ts';

export { freeKey } from './partedSegment.ts';

const id = text({ min: 1, max: 40 });
const shareField = (what: string) =>
  quantityField('ratio', '%', {
    label: 'Along it',
    min: 0.01,
    max: 0.99,
    message: `${what} sits from 1 to 99 % along its segment`,
  });

const lastOrder = (entries: Readonly<Record<string, { readonly order: number }>>): number =>
  Math.max(0, ...Object.values(entries).map(({ order }) => order));

/** Takes a segment out together with the splices that sit in it. */
function takeOut(draft: DocumentDraft, segmentId: string): void {
  entryOf(draft.harness.segments, segmentId, 'segment');
  delete draft.harness.segments[segmentId];
  for (const [key, site] of Object.entries(draft.harness.splices)) {
    if (site.segmentId === segmentId) delete draft.harness.splices[key];
  }
}

const takeSegmentOut = command({
  name: 'take-segment-out',
  fields: { segmentId: id },
  words: () => 'Take a segment out of the harness',
  recipe: (draft, { segmentId }) => takeOut(draft, segmentId),
});

const lengthOf = (corners: readonly RoutePoint[]): number =>
  corners.slice(1).reduce((sum, { at }, i) => sum + distanceBetween(at, corners[i]?.at ?? at), 0);

/** What lies so near to the straight between its neighbours is no corner, m. */
const STRAIGHT = 1e-3;

/** Whether a place lies on the straight way between two others. */
const liesBetween = (at: Vector, from: Vector, to: Vector): boolean =>
  distanceBetween(from, at) + distanceBetween(at, to) - distanceBetween(from, to) <
  STRAIGHT ** 2 / Math.max(STRAIGHT, distanceBetween(from, to));

const isAt = (end: SegmentEnd, breakoutId: string): boolean =>
  end.at === 'breakout' && end.breakoutId === breakoutId;

const putBreakout = command({
  name: 'put-breakout',
  fields: { segmentId: id, share: shareField('a breakout') },
  words: () => 'Put a breakout into a segment',
  recipe(draft, { segmentId, share }) {
    const { harness } = draft;
    const { name } = entryOf(harness.segments, segmentId, 'segment');
    const parting = partingOf(draft, segmentId, share.value);
    const breakoutId = freeKey('breakout', harness.breakouts);
    const [x, y, z] = parting.at;
    harness.breakouts[breakoutId] = {
      name: `Breakout in ${name}`.slice(0, 80),
      x: mm(x),
      y: mm(y),
      z: mm(z),
      zone: parting.zone,
      movesWithEngine: false,
      locked: false,
    };
    parting.part({ at: 'breakout', breakoutId });
  },
});

const putConnector = command({
  name: 'put-connector',
  fields: { segmentId: id, share: shareField('a connector'), item: itemRef('device') },
  words: () => 'Set a connector into the harness',
  recipe(draft, { segmentId, share, item }) {
    const { name } = entryOf(draft.harness.segments, segmentId, 'segment');
    const parting = partingOf(draft, segmentId, share.value);
    const deviceId = freeKey('connector', draft.devices);
    const placementId = freeKey('connector', draft.placements);
    const [x, y, z] = parting.at;
    const called = `Connector in ${name}`.slice(0, 80);
    draft.placements[placementId] = {
      name: called,
      x: mm(x),
      y: mm(y),
      z: mm(z),
      zone: parting.zone,
      movesWithEngine: false,
      ...BARE_PLACE,
    };
    draft.devices[deviceId] = {
      ...plainDevice,
      order: lastOrder(draft.devices) + ORDER_STEP,
      name: called,
      part: { kind: 'item', item },
      placementId,
      connections: {},
    };
    parting.part({ at: 'place', placementId });
  },
});

const takeBreakoutOut = command({
  name: 'take-breakout-out',
  fields: { breakoutId: id },
  words: () => 'Take a breakout out of the harness',
  recipe(draft, { breakoutId }) {
    const { harness } = draft;
    const breakout = entryOf(harness.breakouts, breakoutId, 'breakout');
    const ending = Object.entries(harness.segments).filter(
      ([, { from, to }]) => isAt(from, breakoutId) || isAt(to, breakoutId),
    );
    const [first, second] = ending;
    if (ending.length === 2 && first && second) {
      // Two that meet become one, with a corner where the breakout was, unless it runs straight on.
      const [firstId, kept] = first;
      const [secondId, other] = second;
      const [ahead, behind] = [lengthOf(cornersOf(draft, kept)), lengthOf(cornersOf(draft, other))];
      const turned = { kept: isAt(kept.from, breakoutId), other: isAt(other.to, breakoutId) };
      const before = inOrder(kept);
      const after = inOrder(other);
      if (isAt(kept.from, breakoutId)) before.reverse();
      if (isAt(other.to, breakoutId)) after.reverse();
      const corner = { x: breakout.x, y: breakout.y, z: breakout.z, radius: mm(0.03), order: 0 };
      const ends = [
        turned.kept ? kept.to : kept.from,
        turned.other ? other.from : other.to,
      ] as const;
      const [last, next] = [before.at(-1)?.[1], after[0]?.[1]];
      const through = liesBetween(
        vectorOf(breakout),
        last ? vectorOf(last) : standsAt(draft, ends[0]),
        next ? vectorOf(next) : standsAt(draft, ends[1]),
      );
      const points = [
        ...before.map(([, p]) => p),
        ...(through ? [] : [corner]),
        ...after.map(([, p]) => p),
      ];
      kept.from = isAt(kept.from, breakoutId) ? kept.to : kept.from;
      kept.to = isAt(other.to, breakoutId) ? other.from : other.to;
      kept.points = Object.fromEntries(
        points.map((point, i) => [`p${i + 1}`, { ...point, order: ORDER_STEP * (i + 1) }]),
      );
      kept.measured = null;
      kept.loop = { ...kept.loop, value: kept.loop.value + other.loop.value };
      for (const site of Object.values(harness.splices)) {
        const share = site.share.value;
        const at =
          site.segmentId === firstId
            ? ahead * (turned.kept ? 1 - share : share)
            : site.segmentId === secondId
              ? ahead + behind * (turned.other ? 1 - share : share)
              : undefined;
        if (at === undefined) continue;
        site.segmentId = firstId;
        site.share = { ...site.share, value: Math.min(1, at / (ahead + behind)) };
      }
      delete harness.segments[secondId];
    } else {
      for (const [segmentId] of ending) takeOut(draft, segmentId);
    }
    delete harness.breakouts[breakoutId];
  },
});

/** A wire is cut, and to which length; null: it is not cut after all. */
const markCut = command({
  name: 'mark-cut',
  fields: { wireId: text({ min: 1, max: 120 }), wireName, cut: nullable(cutWireSpec) },
  words: (c) => `${c.wireName} is ${c.cut ? 'cut' : 'not cut after all'}`,
  recipe({ harness }, { wireId, cut }) {
    if (cut) harness.cut[wireId] = cut;
    else delete harness.cut[wireId];
  },
});

/** Edits of the harness. */
export const harnessCommands = [
  takeSegmentOut,
  putBreakout,
  putConnector,
  takeBreakoutOut,
  markCut,
] as const;
export type HarnessCommand = CommandOf<(typeof harnessCommands)[number]>;
