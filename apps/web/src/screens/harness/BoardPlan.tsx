import { type ToldBoard, harnessFigure } from '@brookrain/core';
import { useBuild } from '../../build/BuildContext.ts';

/** How wide the plan is drawn, and the size of its names, px. */
const WIDTH = 900;
const NAME = 12;
/** A bundle is drawn as wide as it is, but no thinner, px. */
const THINNEST = 1.5;

/** A board in small: its segments as they lie, its ends and breakouts by name. */
export function BoardPlan({
  board,
  picked,
  pick,
}: {
  board: ToldBoard;
  picked: string | undefined;
  pick: (segmentId: string) => void;
}) {
  const { results, document: build } = useBuild();
  const places = board.nodes.map(({ at }) => at);
  const low = [0, 1].map((k) => Math.min(...places.map((at) => at[k] ?? 0)));
  const high = [0, 1].map((k) => Math.max(...places.map((at) => at[k] ?? 0)));
  // Names of the outermost ends need room on both sides.
  const scale = (WIDTH - 220) / Math.max(1, (high[0] ?? 0) - (low[0] ?? 0));
  const x = (at: readonly [number, number]): number => 110 + (at[0] - (low[0] ?? 0)) * scale;
  const y = (at: readonly [number, number]): number => 30 + ((high[1] ?? 0) - at[1]) * scale;
  const height = 60 + ((high[1] ?? 0) - (low[1] ?? 0)) * scale;
  const names = new Map(build.harness.segments.map(({ id, name }) => [id, name]));
  const wide = (segment: string): number =>
    Math.max(
      THINNEST,
      (results.find(harnessFigure('segment.diameter', { segment }))?.value ?? 0) * 1e3 * scale,
    );
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${height}`}
      className="w-full border border-hair bg-paper"
      role="img"
      aria-label={`Plan of the board: ${board.name}`}
    >
      {board.segments.map(({ id, from, to }) => (
        <g key={id} className="cursor-pointer" onClick={() => pick(id)}>
          <title>{names.get(id)}</title>
          <line
            x1={x(from)}
            y1={y(from)}
            x2={x(to)}
            y2={y(to)}
            stroke="transparent"
            strokeWidth="14"
          />
          <line
            x1={x(from)}
            y1={y(from)}
            x2={x(to)}
            y2={y(to)}
            stroke={id === picked ? 'var(--moss)' : 'var(--ink)'}
            strokeWidth={id === picked ? wide(id) + 3 : wide(id)}
            strokeLinecap="round"
          />
        </g>
      ))}
      {board.nodes.map(({ key, name, at, plugs }) => (
        <g key={key}>
          <title>{[name, ...plugs].join('\n')}</title>
          <circle
            cx={x(at)}
            cy={y(at)}
            r={plugs.length > 0 ? 4.5 : 3}
            fill={plugs.length > 0 ? 'var(--ink)' : 'var(--paper)'}
            stroke="var(--ink)"
          />
        </g>
      ))}
      {namesOf(board, { x, y }).map(({ key, name, left, base }) => (
        <text
          key={key}
          x={left}
          y={base}
          fontSize={NAME}
          fill="var(--ink)"
          // Legible where it lies over a segment.
          stroke="var(--paper)"
          strokeWidth="4"
          paintOrder="stroke"
          className="pointer-events-none"
        >
          {name}
        </text>
      ))}
    </svg>
  );
}

type Scale = { readonly [axis in 'x' | 'y']: (at: readonly [number, number]) => number };

/** A letter is about so wide, px; names stand so far from their end, and from the edge. */
const LETTER = 6.2;
const AWAY = 9;
const EDGE = 4;

/** Names of ends, on from their segment and within the plan; one that would lie on another is left out. */
function namesOf(board: ToldBoard, { x, y }: Scale) {
  const taken: { readonly left: number; readonly right: number; readonly y: number }[] = [];
  const same = (a: readonly [number, number], b: readonly [number, number]): boolean =>
    a[0] === b[0] && a[1] === b[1];
  return board.nodes.flatMap(({ key, name, at, plugs }) => {
    const meeting = board.segments.filter(({ from, to }) => same(from, at) || same(to, at));
    const [only] = meeting;
    if (plugs.length === 0 || meeting.length !== 1 || !only) return [];
    const inner = same(only.from, at) ? only.to : only.from;
    const [dx, dy] = [x(at) - x(inner), y(at) - y(inner)];
    const far = Math.hypot(dx, dy) || 1;
    const [u, v] = [dx / far, dy / far];
    const wide = name.length * LETTER;
    const wanted = x(at) + AWAY * u - (u > 0.5 ? 0 : u < -0.5 ? wide : wide / 2);
    const left = Math.max(EDGE, Math.min(wanted, WIDTH - EDGE - wide));
    // One that the edge pushes back stands below its end, not on it.
    const base = left === wanted ? y(at) + AWAY * v + NAME * (0.35 + 0.45 * v) : y(at) + 2 * AWAY;
    const box = { left, right: left + wide, y: base };
    const hidden = taken.some(
      (other) =>
        box.left < other.right && other.left < box.right && Math.abs(box.y - other.y) < NAME,
    );
    if (hidden) return [];
    taken.push(box);
    return [{ key, name, left, base }];
  });
}
