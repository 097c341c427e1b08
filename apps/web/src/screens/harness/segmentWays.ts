import {
  type Build,
  type SegmentEnd,
  type Vector,
  polylineOf,
  shapeOf,
  vectorOf,
} from '@brookrain/core';

/** A segment as it is drawn: places along it, and whether it can be laid. */
export interface SegmentWay {
  readonly id: string;
  readonly name: string;
  readonly points: readonly Vector[];
  readonly laid: boolean;
}

/** What segments are drawn from. */
export interface Laid {
  readonly placements: Build['placements'];
  readonly harness: Pick<Build['harness'], 'breakouts' | 'segments'>;
}

/** Where an end of a segment stands; undefined where that is not there. */
export function placeOfEnd(build: Laid, end: SegmentEnd): Vector | undefined {
  const at =
    end.at === 'place'
      ? build.placements.find(({ id }) => id === end.placementId)
      : build.harness.breakouts.find(({ id }) => id === end.breakoutId);
  return at && vectorOf(at);
}

/** What an end of a segment is called. */
export const nameOfEnd = (build: Build, end: SegmentEnd): string =>
  (end.at === 'place'
    ? build.placements.find(({ id }) => id === end.placementId)
    : build.harness.breakouts.find(({ id }) => id === end.breakoutId)
  )?.name ?? '';

/** Every segment as a way over the vehicle. */
export function segmentWays(build: Laid): readonly SegmentWay[] {
  return build.harness.segments.flatMap((segment): SegmentWay[] => {
    const [from, to] = [placeOfEnd(build, segment.from), placeOfEnd(build, segment.to)];
    if (!from || !to) return [];
    const corners = [
      { at: from, radius: 0 },
      ...segment.points.map((p) => ({ at: vectorOf(p), radius: p.radius.value })),
      { at: to, radius: 0 },
    ];
    const shape = shapeOf(corners);
    return [
      {
        id: segment.id,
        name: segment.name,
        points: shape.ok ? polylineOf(shape.path) : corners.map(({ at }) => at),
        laid: shape.ok,
      },
    ];
  });
}
