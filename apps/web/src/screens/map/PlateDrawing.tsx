import { type DrawnLayer, type FixingDrawing, TEXT_HEIGHT } from '@brookrain/core';

const strokes: Readonly<Record<DrawnLayer, { colour: string; width: number; dash?: string }>> = {
  cut: { colour: 'var(--ink)', width: 0.6 },
  hole: { colour: 'var(--ink)', width: 0.5 },
  bend: { colour: 'var(--ink)', width: 0.5, dash: '4 2' },
  part: { colour: 'var(--edge)', width: 0.5, dash: '1 1' },
  measure: { colour: 'var(--second)', width: 0.35 },
  loom: { colour: 'var(--ink)', width: 0.8 },
  side: { colour: 'var(--edge)', width: 0.4 },
  nail: { colour: 'var(--signal)', width: 0.5 },
  plug: { colour: 'var(--ink)', width: 0.5 },
};
const MARGIN = 4;

/** A plate with its measures, mm, as it goes to the bench. */
export function PlateDrawing({ drawing, name }: { drawing: FixingDrawing; name: string }) {
  const { low, high, shapes } = drawing;
  const width = high[0] - low[0] + 2 * MARGIN;
  const height = high[1] - low[1] + 2 * MARGIN;
  // Measures stay readable however large the plate is.
  const size = Math.max(TEXT_HEIGHT, width / 60);
  return (
    <svg
      viewBox={`${low[0] - MARGIN} ${-high[1] - MARGIN} ${width} ${height}`}
      role="img"
      aria-label={name}
      className="max-h-[340px] w-full border-[0.75px] border-hair"
    >
      {shapes.map((shape, i) => {
        const { colour, width: stroke, dash } = strokes[shape.layer];
        const style = { stroke: colour, strokeWidth: stroke * (size / 3), strokeDasharray: dash };
        switch (shape.kind) {
          case 'line':
            return (
              <line
                key={i}
                x1={shape.from[0]}
                y1={-shape.from[1]}
                x2={shape.to[0]}
                y2={-shape.to[1]}
                {...style}
              />
            );
          case 'circle':
            return (
              <circle
                key={i}
                cx={shape.centre[0]}
                cy={-shape.centre[1]}
                r={shape.radius}
                fill="none"
                {...style}
              />
            );
          case 'text':
            return (
              <text
                key={i}
                x={shape.at[0]}
                y={-shape.at[1]}
                textAnchor="middle"
                style={{ fontSize: size }}
                fill="var(--ink)"
                transform={shape.upright ? `rotate(-90 ${shape.at[0]} ${-shape.at[1]})` : undefined}
              >
                {shape.text}
              </text>
            );
        }
      })}
    </svg>
  );
}
