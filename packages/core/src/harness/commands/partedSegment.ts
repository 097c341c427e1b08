import { entryOf } from '../../model/command.ts';
import type { DocumentDraft } from '../../model/edit.ts';
import { NotFound, quantity } from '../../quantities/index.ts';
import { type RoutePoint, type Vector, pointAt, shapeOf, vectorOf } from '../../vehicle/index.ts';
import type { SegmentEnd } from '../model.ts';

export type DraftSegment = DocumentDraft['harness']['segments'][string];

/** Metres as a length that is shown in mm, to a tenth. */
export const mm = (metres: number) => quantity(Math.round(metres * 1e4) / 10, 'length', 'mm');

/** A key of a kind that no entry has: breakout-1, breakout-2 and so on. */
export function freeKey(kind: string, taken: Readonly<Record<string, unknown>>): string {
  let n = Object.keys(taken).length + 1;
  while (Object.hasOwn(taken, `${kind}-${n}`)) n += 1;
  return `${kind}-${n}`;
}

export function standsAt(draft: DocumentDraft, end: SegmentEnd): Vector {
  const place =
    end.at === 'place'
      ? entryOf(draft.placements, end.placementId, 'place')
      : entryOf(draft.harness.breakouts, end.breakoutId, 'breakout');
  return vectorOf(place);
}

export const inOrder = ({ points }: DraftSegment) =>
  Object.entries(points).sort(([, a], [, b]) => a.order - b.order);

/** Corners of a way with both ends. */
export function cornersOf(draft: DocumentDraft, segment: DraftSegment): RoutePoint[] {
  return [
    { at: standsAt(draft, segment.from), radius: 0 },
    ...inOrder(segment).map(([, point]) => ({ at: vectorOf(point), radius: point.radius.value })),
    { at: standsAt(draft, segment.to), radius: 0 },
  ];
}

/** Where a segment is parted, and the key that the part behind gets. */
export interface Parting {
  readonly at: Vector;
  readonly zone: DocumentDraft['placements'][string]['zone'];
  /** parts it there, with an end between both parts */
  readonly part: (end: SegmentEnd) => void;
}

/** Gets ready to part a segment at a share of it; corners, loops and splices stay where they are. */
export function partingOf(draft: DocumentDraft, segmentId: string, share: number): Parting {
  const { harness } = draft;
  const segment = entryOf(harness.segments, segmentId, 'segment');
  const corners = cornersOf(draft, segment);
  const shape = shapeOf(corners.map(({ at }) => ({ at, radius: 0 })));
  if (!shape.ok) throw new NotFound('this segment has no way to part it on', segmentId);
  const at = share * shape.path.length;
  const zone =
    segment.from.at === 'place'
      ? draft.placements[segment.from.placementId]?.zone
      : harness.breakouts[segment.from.breakoutId]?.zone;
  return {
    at: pointAt(shape.path, at) ?? standsAt(draft, segment.from),
    zone: zone ?? 'body',
    part(end) {
      // Corners before it stay with the first part, those behind it go with the second.
      let passed = 0;
      const behind: DraftSegment['points'] = {};
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
        from: end,
        points: behind,
        loop: mm(0),
        measured: null,
      };
      segment.to = end;
      segment.measured = null;
      for (const site of Object.values(harness.splices)) {
        if (site.segmentId !== segmentId) continue;
        if (site.share.value <= share) {
          site.share = { ...site.share, value: site.share.value / share };
        } else {
          site.segmentId = secondId;
          site.share = { ...site.share, value: (site.share.value - share) / (1 - share) };
        }
      }
    },
  };
}
