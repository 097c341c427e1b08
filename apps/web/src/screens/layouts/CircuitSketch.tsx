import {
  type JudgedCircuit,
  circuitSheet,
  formatMeasure,
  layOutCircuit,
  railsOf,
  stateOf,
} from '@brookrain/core';
import { useMemo } from 'react';
import { useUnits } from '../../ui/preferences.ts';
import { ElementSymbol } from '../circuit/ElementSymbol.tsx';
import { lineStyle } from '../circuit/lineStyle.ts';

/** A circuit drawn small, to see its shape: lines, symbols and the pressure at the rails. */
export function CircuitSketch({ judged, name }: { judged: JudgedCircuit; name: string }) {
  const [units] = useUnits();
  const { circuit, solution } = judged;
  const layout = useMemo(() => layOutCircuit(circuit), [circuit]);
  const top = circuitSheet.feedY - 44;
  return (
    <svg
      viewBox={`0 ${top} ${circuitSheet.width} ${layout.height - top - 30}`}
      className="w-full"
      role="img"
      aria-label={`Sketch: ${name}`}
    >
      <rect
        x={circuitSheet.tankX}
        y={circuitSheet.feedY - 30}
        width={circuitSheet.tankWidth}
        height={layout.returnY - circuitSheet.feedY + 52}
        fill="var(--panel)"
        stroke="var(--ink)"
        strokeWidth="2"
      />
      <rect
        x={circuitSheet.railX + 20}
        y={circuitSheet.feedY}
        width="62"
        height={layout.returnY - circuitSheet.feedY}
        fill="var(--panel)"
        stroke="var(--ink)"
        strokeWidth="2"
      />
      {layout.drops.map((drop, i) => (
        <line
          key={i}
          x1={drop.x}
          x2={drop.x}
          y1={drop.y0}
          y2={drop.y1}
          stroke="var(--ink)"
          strokeWidth="2"
        />
      ))}
      {layout.steps.map(({ step, x0, x1, y }) => {
        const { element } = step;
        const style = element.kind === 'line' ? lineStyle[element.role] : undefined;
        return (
          <g key={`${step.id}:${step.from}`}>
            <line
              x1={x0}
              x2={x1}
              y1={y}
              y2={y}
              stroke={style?.colour ?? 'var(--ink)'}
              strokeWidth={style ? 5 : 2}
              strokeDasharray={style?.dash}
            />
            {!style && (
              <g transform={`translate(${(x0 + x1) / 2} ${y})`}>
                <ElementSymbol element={element} selected={false} />
              </g>
            )}
          </g>
        );
      })}
      {layout.rails.map((rail) => (
        <g key={rail.elementId}>
          <line
            x1={rail.x}
            x2={rail.x}
            y1={rail.y0}
            y2={rail.leavesTo ?? rail.y1}
            stroke="var(--line-feed)"
            strokeWidth="6"
          />
          {solution.state === 'converged' && (
            <text
              x={rail.x - 14}
              y={(rail.y0 + rail.y1) / 2 + 6}
              textAnchor="end"
              style={{ font: `500 ${railsOf(circuit).length > 1 ? 20 : 24}px var(--font-sans)` }}
            >
              {formatMeasure(
                {
                  value: stateOf(solution, rail.elementId).inletPressure,
                  kind: 'pressure',
                },
                units,
              )}
            </text>
          )}
        </g>
      ))}
    </svg>
  );
}
