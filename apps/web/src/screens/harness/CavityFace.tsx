import { type FaceSide, type ToldConnector, cavityFace } from '@brookrain/core';
import { paintOf } from './wirePaint.ts';

/** Pitch and radius of a cavity as drawn, and the edge round them. */
const PITCH = 27;
const RADIUS = 11.5;
const EDGE = 12;
/** A face is never drawn wider than this. */
const WIDEST = 264;

const sideWords: Readonly<Record<FaceSide, string>> = {
  wire: 'Wire side: as one looks at it while pinning',
  mating: 'Mating side: as the part sees it',
};

/** The face of a plug with the colours of its wires, and a switch for the side that is looked at. */
export function CavityFace({
  plug,
  side,
  colourOf,
  turn,
  lit,
  done,
}: {
  plug: Pick<ToldConnector, 'name' | 'family' | 'cavities'>;
  side: FaceSide;
  colourOf: (wire: number) => string;
  turn: (side: FaceSide) => void;
  /** the cavity that is pinned next, and those that are done */
  lit?: string | undefined;
  done?: ReadonlySet<string>;
}) {
  const face = cavityFace(plug, side);
  const isRound = plug.family === 'round bulkhead';
  const reach = (of: (cavity: (typeof face)[number]) => number): number =>
    Math.max(...face.map(of)) * 2 * PITCH + 2 * (EDGE + RADIUS);
  const round = reach(({ x, y }) => Math.hypot(x, y));
  const across = isRound ? round : reach(({ x }) => Math.abs(x));
  const up = isRound ? round : reach(({ y }) => Math.abs(y));
  const wires = new Map(plug.cavities.map(({ pin, wire }) => [pin, wire]));
  return (
    <figure className="mt-2">
      <svg
        viewBox={`${-across / 2} ${-up / 2} ${across} ${up}`}
        style={{ width: lit === undefined ? Math.min(WIDEST, across) : '100%', maxWidth: 420 }}
        className="mx-auto block"
        role="img"
        aria-label={`Face of ${plug.name}, ${side} side`}
      >
        {isRound ? (
          <circle r={across / 2 - 1} fill="var(--panel)" stroke="var(--ink)" />
        ) : (
          <rect
            x={-across / 2 + 1}
            y={-up / 2 + 1}
            width={across - 2}
            height={up - 2}
            rx={5}
            fill="var(--panel)"
            stroke="var(--ink)"
          />
        )}
        {/* The key of a round one, the latch of another: always above. */}
        <rect x={-9} y={-up / 2} width={18} height={4} fill="var(--ink)" />
        {face.map(({ pin, x, y }) => {
          const wire = wires.get(pin) ?? null;
          const colour = wire === null ? '' : colourOf(wire);
          const [base, stripe] = paintOf(colour);
          const [cx, cy] = [x * PITCH, y * PITCH];
          return (
            <g key={pin} opacity={lit !== undefined && lit !== pin && !done?.has(pin) ? 0.45 : 1}>
              <circle
                cx={cx}
                cy={cy}
                r={RADIUS}
                fill={wire === null ? 'none' : base}
                stroke="var(--edge)"
                strokeDasharray={wire === null ? '2 2' : undefined}
              />
              {lit === pin && (
                <circle
                  cx={cx}
                  cy={cy}
                  r={RADIUS + 2}
                  fill="none"
                  stroke="var(--signal)"
                  strokeWidth="3.5"
                />
              )}
              {stripe !== undefined && (
                <rect x={cx - RADIUS} y={cy + 5} width={2 * RADIUS} height={3.5} fill={stripe} />
              )}
              <text
                x={cx}
                y={cy + 3}
                textAnchor="middle"
                fontSize={pin.length > 3 ? 7.5 : 9}
                fill="var(--ink)"
                stroke="var(--paper)"
                strokeWidth={wire === null ? 0 : 2.6}
                paintOrder="stroke"
              >
                {pin}
              </text>
              <title>{wire === null ? `${pin}: empty` : `${pin}: ${colour}`}</title>
            </g>
          );
        })}
      </svg>
      <figcaption className="mt-1 flex flex-wrap items-center justify-between gap-2 text-[13px] text-second">
        {sideWords[side]}
        <button
          type="button"
          className="act"
          onClick={() => turn(side === 'wire' ? 'mating' : 'wire')}
        >
          Turn it round
        </button>
      </figcaption>
      <p className="mt-1 text-[13px] text-second">
        Arranged by number of cavities; the numbers on the housing decide.
      </p>
    </figure>
  );
}
