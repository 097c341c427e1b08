import { type ElementState, type PlacedRail, circuitSheet } from '@brookrain/core';

type Props = {
  rail: PlacedRail;
  /** injectors drawn on it */
  count: number;
  selected: boolean;
  state: ElementState | undefined;
  /** the only rail has room for both readings */
  alone: boolean;
  pressure: (value: number) => string;
  flow: (massFlow: number) => string;
};

/** A rail at the engine with its injectors and what is read there. */
export function RailMark({ rail, count, selected, state, alone, pressure, flow }: Props) {
  const { x, y0, y1 } = rail;
  const middle = (y0 + y1) / 2;
  const step = Math.min(34, (alone ? 130 : 48) / count);
  // Several rails leave room for their readings only at the engine.
  const text = alone
    ? { x: x - 10, anchor: 'end' as const }
    : { x: circuitSheet.railX + 25, anchor: 'start' as const };
  return (
    <>
      {rail.leavesTo !== undefined && (
        <line x1={x} x2={x} y1={y1} y2={rail.leavesTo} stroke="var(--ink)" strokeWidth="1.5" />
      )}
      <line x1={x} x2={x} y1={y0} y2={y1} stroke="var(--line-feed)" strokeWidth="5" />
      {Array.from({ length: count }, (_, i) => {
        const y = middle + (i - (count - 1) / 2) * step;
        return (
          <path
            key={i}
            d={`M${x} ${y}H${circuitSheet.railX + 12}l8 -5v10l-8 -5`}
            fill={selected ? 'var(--moss)' : 'var(--paper)'}
            stroke="var(--ink)"
            strokeWidth="1.5"
          />
        );
      })}
      {state && (
        <g textAnchor={text.anchor}>
          {alone && (
            <text x={text.x} y={y0 + 74} fill="var(--second)">
              rail
            </text>
          )}
          <text
            x={text.x}
            y={alone ? y0 + 92 : middle - 2}
            style={{ font: `500 ${alone ? 15 : 13}px var(--font-sans)` }}
          >
            {pressure(state.inletPressure)}
          </text>
          {alone && (
            <text x={text.x} y={y0 + 112} fill="var(--second)">
              injected
            </text>
          )}
          <text x={text.x} y={alone ? y0 + 130 : middle + 14} style={{ fontSize: alone ? 14 : 12 }}>
            {flow(state.massFlow)}
          </text>
        </g>
      )}
    </>
  );
}
