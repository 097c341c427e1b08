import type { Build, ProposedHarness } from '@brookrain/core';
import type { MapScale } from '../map/mapScale.ts';
import { segmentWays } from './segmentWays.ts';

/** A harness that is proposed, dashed beside the one that is there. */
export function ProposalDrawing({
  build,
  proposed,
  scale,
}: {
  build: Build;
  proposed: ProposedHarness;
  scale: MapScale;
}) {
  const inOrder = <Entry extends { readonly order: number }>(
    entries: Readonly<Record<string, Entry>>,
  ) =>
    Object.entries(entries)
      .sort(([, a], [, b]) => a.order - b.order)
      .map(([id, entry]) => ({ ...entry, id }));
  const ways = segmentWays({
    placements: build.placements,
    harness: {
      breakouts: Object.entries(proposed.breakouts).map(([id, entry]) => ({ ...entry, id })),
      segments: inOrder(proposed.segments).map((segment) => ({
        ...segment,
        points: inOrder(segment.points),
      })),
    },
  });
  return (
    <g className="pointer-events-none">
      {ways.map(({ id, points }) => (
        <path
          key={id}
          d={points
            .map(
              (p, i) => `${i === 0 ? 'M' : 'L'}${scale.x(p).toFixed(1)} ${scale.y(p).toFixed(1)}`,
            )
            .join('')}
          fill="none"
          stroke="var(--moss)"
          strokeWidth="2.5"
          strokeDasharray="7 4"
        />
      ))}
    </g>
  );
}
