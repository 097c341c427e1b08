import { type CommandOf, command, entryOf } from '../../model/command.ts';
import type { DocumentDraft } from '../../model/edit.ts';
import { quantityField, text } from '../../model/spec.ts';
import { NotFound, quantity } from '../../quantities/index.ts';
import {
  type RoutePoint,
  type Vector,
  distanceBetween,
  pointAt,
  shapeOf,
  vectorOf,
} from '../../vehicle/index.ts';
import type { SegmentEnd } from '../model.ts';

type Segment = DocumentDraft['harness']['segments'][string];

const id = text({ min: 1, max: 40 });
const mm = (metres: number) => quantity(Math.round(metres * 1e4) / 10, 'length', 'mm');
const ORDER_STEP = 1000;

/** A key of a kind that no entry has: breakout-1, breakout-2 and so on. */
export function freeKey(kind: string, taken: Readonly<Record<string, unknown>>): string {
  let n = Object.keys(taken).length + 1;
  while (Object.hasOwn(taken, `${kind}-${n}`)) n += 1;
  return `${kind}-${n}`;
}

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

function standsAt(draft: DocumentDraft, end: SegmentEnd): Vector {
  const place =
    end.at === 'place'
      ? entryOf(draft.placements, end.placementId, 'place')
      : entryOf(draft.harness.breakouts, end.breakoutId, 'breakout');
  return vectorOf(place);
}

const inOrder = ({ points }: Segment) =>
  Object.entries(points).sort(([, a], [, b]) => a.order - b.order);

/** Corners of a way with both ends. */
function cornersOf(draft: DocumentDraft, segment: Segment): RoutePoint[] {
  return [
    { at: standsAt(draft, segment.from), radius: 0 },
    ...inOrder(segment).map(([, point]) => ({ at: vectorOf(point), radius: point.radius.value })),
    { at: standsAt(draft, segment.to), radius: 0 },
  ];
}

const lengthOf = (corners: readonly RoutePoint[]): number =>
  corners.slice(1).reduce((sum, { at }, i) => sum + distanceBetween(at, corners[i]?.at ?? at), 0);

const isAt = (end: SegmentEnd, breakoutId: string): boolean =>
  end.at === 'breakout' && end.breakoutId === breakoutId;

const putBreakout = command({
  name: 'put-breakout',
  fields: {
    segmentId: id,
    share: quantityField('ratio', '%', {
      label: 'Along it',
      min: 0.01,
      max: 0.99,
      message: 'a breakout sits from 1 to 99 % along its segment',
    }),
  },
  words: () => 'Put a breakout into a segment',
  recipe(draft, { segmentId, share }) {
    const { harness } = draft;
    const segment = entryOf(harness.segments, segmentId, 'segment');
    const corners = cornersOf(draft, segment);
    const shape = shapeOf(corners.map(({ at }) => ({ at, radius: 0 })));
    if (!shape.ok) throw new NotFound('this segment has no way to put a breakout on', segmentId);
    const at = share.value * shape.path.length;
    const place = pointAt(shape.path, at) ?? standsAt(draft, segment.from);
    const breakoutId = freeKey('breakout', harness.breakouts);
    const zone =
      segment.from.at === 'place'
        ? draft.placements[segment.from.placementId]?.zone
        : harness.breakouts[segment.from.breakoutId]?.zone;
    harness.breakouts[breakoutId] = {
      name: `Breakout in ${segment.name}`.slice(0, 80),
      x: mm(place[0]),
      y: mm(place[1]),
      z: mm(place[2]),
      zone: zone ?? 'body',
      movesWithEngine: false,
      locked: false,
    };
    // Corners before it stay with the first part, those behind it go with the second.
    let passed = 0;
    const behind: Segment['points'] = {};
    const points = inOrder(segment);
    points.forEach(([key, point], i) => {
      const [a, b] = [corners[i], corners[i + 1]];
      if (a && b) passed += Math.hypot(...a.at.map((value, k) => value - (b.at[k] ?? 0)));
      if (passed <= at) return;
      behind[key] = point;
      delete segment.points[key];
    });
    const secondId = freeKey('segment', harness.segments);
    harness.segments[secondId] = {
      ...segment,
      order: segment.order + 1,
      name: `${segment.name}, on`.slice(0, 80),
      from: { at: 'breakout', breakoutId },
      points: behind,
      loop: mm(0),
      measured: null,
    };
    segment.to = { at: 'breakout', breakoutId };
    segment.measured = null;
    for (const site of Object.values(harness.splices)) {
      if (site.segmentId !== segmentId) continue;
      if (site.share.value <= share.value) {
        site.share = { ...site.share, value: site.share.value / share.value };
      } else {
        site.segmentId = secondId;
        site.share = {
          ...site.share,
          value: (site.share.value - share.value) / (1 - share.value),
        };
      }
    }
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
      // Two that meet become one, with a corner where the breakout was.
      const [firstId, kept] = first;
      const [secondId, other] = second;
      const [ahead, behind] = [lengthOf(cornersOf(draft, kept)), lengthOf(cornersOf(draft, other))];
      const turned = { kept: isAt(kept.from, breakoutId), other: isAt(other.to, breakoutId) };
      const before = inOrder(kept);
      const after = inOrder(other);
      if (isAt(kept.from, breakoutId)) before.reverse();
      if (isAt(other.to, breakoutId)) after.reverse();
      const corner = { x: breakout.x, y: breakout.y, z: breakout.z, radius: mm(0.03), order: 0 };
      const points = [...before.map(([, p]) => p), corner, ...after.map(([, p]) => p)];
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

/** Edits of the harness. */
export const harnessCommands = [takeSegmentOut, putBreakout, takeBreakoutOut] as const;
export type HarnessCommand = CommandOf<(typeof harnessCommands)[number]>;
