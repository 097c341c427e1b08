import { type Build, harnessFigure, vectorOf } from '@brookrain/core';
import { useBuild } from '../../build/BuildContext.ts';
import { HALO } from '../map/ThingShapes.tsx';
import type { MapScale } from '../map/mapScale.ts';
import { type HarnessSelection, harnessText } from './harnessSelection.ts';
import { segmentWays } from './segmentWays.ts';

/** The widest bundle is drawn so wide, the thinnest so. */
const WIDEST = 7;
const THINNEST = 1.75;

/** The harness over the vehicle: segments as wide as their bundles, breakouts, splices. */
export function HarnessDrawing({
  build,
  scale,
  selection,
  select,
}: {
  build: Build;
  scale: MapScale;
  selection: HarnessSelection | undefined;
  select: (selection: HarnessSelection) => void;
}) {
  const { results, evaluation } = useBuild();
  const ways = segmentWays(build);
  const chosen = selection && harnessText(selection);
  const trouble = new Set(
    evaluation.findings.flatMap(({ where, severity, accepted }) =>
      where.stage === 'harness' && where.segment !== undefined && severity !== 'note' && !accepted
        ? [where.segment]
        : [],
    ),
  );
  const diameterOf = (segment: string): number =>
    results.find(harnessFigure('segment.diameter', { segment }))?.value ?? 0;
  const widest = Math.max(1e-3, ...ways.map(({ id }) => diameterOf(id)));
  const { x, y } = scale;
  return (
    <g>
      {ways.map(({ id, name, points, laid }) => {
        const d = points
          .map((p, i) => `${i === 0 ? 'M' : 'L'}${x(p).toFixed(1)} ${y(p).toFixed(1)}`)
          .join('');
        const width = Math.max(THINNEST, (diameterOf(id) / widest) * WIDEST);
        const isChosen = chosen === harnessText({ kind: 'segment', id });
        return (
          <g
            key={id}
            className="cursor-pointer"
            data-segment={id}
            onClick={() => select({ kind: 'segment', id })}
          >
            <title>{name}</title>
            <path d={d} fill="none" stroke="transparent" strokeWidth="14" />
            {isChosen && (
              <path d={d} fill="none" stroke="var(--moss)" strokeWidth={width + 5} opacity="0.45" />
            )}
            <path
              d={d}
              fill="none"
              strokeLinejoin="round"
              stroke={trouble.has(id) || !laid ? 'var(--signal)' : 'var(--ink)'}
              strokeWidth={width}
              strokeDasharray={laid ? undefined : '4 3'}
            />
          </g>
        );
      })}
      {build.harness.splices.map(({ spliceId, segmentId, share }) => {
        const way = ways.find(({ id }) => id === segmentId);
        const at = way && alongWay(way.points, share.value);
        return (
          at && (
            <rect
              key={spliceId}
              x={x(at) - 3}
              y={y(at) - 3}
              width="6"
              height="6"
              transform={`rotate(45 ${x(at)} ${y(at)})`}
              fill="var(--paper)"
              stroke="var(--ink)"
              className="pointer-events-none"
            />
          )
        );
      })}
      {build.harness.breakouts.map((breakout) => {
        const at = vectorOf(breakout);
        const isChosen = chosen === harnessText({ kind: 'breakout', id: breakout.id });
        return (
          <g
            key={breakout.id}
            className="cursor-pointer"
            onClick={() => select({ kind: 'breakout', id: breakout.id })}
          >
            <title>{breakout.name}</title>
            <circle
              cx={x(at)}
              cy={y(at)}
              r="4.5"
              fill={isChosen ? 'var(--moss)' : 'var(--paper)'}
              stroke="var(--ink)"
              strokeWidth="1.5"
            />
            {isChosen && (
              <text x={x(at)} y={y(at) - 10} textAnchor="middle" className="text-[12px]" {...HALO}>
                {breakout.name}
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
}

type Place = readonly [number, number, number];

/** The place at a share of a drawn way. */
function alongWay(points: readonly Place[], share: number): Place | undefined {
  const lengths = points
    .slice(1)
    .map((p, i) => Math.hypot(...p.map((value, k) => value - (points[i]?.[k] ?? 0))));
  let left = share * lengths.reduce((sum, each) => sum + each, 0);
  for (const [i, length] of lengths.entries()) {
    const [a, b] = [points[i], points[i + 1]];
    if (!a || !b) return undefined;
    if (left <= length || i === lengths.length - 1) {
      const t = length > 0 ? Math.min(1, left / length) : 0;
      return [a[0] + t * (b[0] - a[0]), a[1] + t * (b[1] - a[1]), a[2] + t * (b[2] - a[2])];
    }
    left -= length;
  }
  return points[0];
}
