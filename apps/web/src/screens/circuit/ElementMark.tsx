import { type ElementState, type PlacedStep, type Severity, entryAt } from '@brookrain/core';
import { ElementSymbol } from './ElementSymbol.tsx';
import { lineStyle } from './lineStyle.ts';

type Props = {
  placed: PlacedStep;
  /** how many stand in its row */
  inRow: number;
  state: ElementState | undefined;
  selected: boolean;
  trouble: Severity | undefined;
  pressure: (value: number) => string;
  flow: (massFlow: number) => string;
};

/** Short enough for a label on the circuitSheet. */
const shortName = (name: string): string =>
  name
    .replace(/^(Fuel|Pressure) /, '')
    .replace(/^(First|Second|Lift) pump (inlet|outlet) hose$/, '$1 $2')
    .replace(/^(Methanol|Pump) (inlet|outlet) hose$/, 'Pump $2')
    .replace(/^./, (c) => c.toUpperCase());

/** What is read at an element: rise of a pump, flow of a regulator, loss of everything else. */
function reading(props: Props): string | undefined {
  const { state, pressure, flow, placed } = props;
  if (!state) return undefined;
  switch (placed.step.element.kind) {
    case 'tank':
    case 'injectors':
    case 'fitting':
      return undefined;
    case 'pump':
      return `+${pressure(Math.max(0, -state.pressureDrop))}`;
    case 'regulator':
      return flow(state.massFlow);
    case 'surge-tank':
      return placed.lane < 0 ? flow(state.overflow ?? 0) : undefined;
    case 'line':
    case 'filter':
    case 'filter-regulator':
    case 'dead-head-regulator':
    case 'orifice':
      return pressure(-Math.max(0, state.pressureDrop));
  }
}

/** One element of the run: its line or symbol, its name, what is read there, and trouble. */
export function ElementMark(props: Props) {
  const { placed, inRow, selected, trouble, state } = props;
  const { step, x0, x1, y, lane, order } = placed;
  const { element } = step;
  const middle = (x0 + x1) / 2;
  const style = element.kind === 'line' ? lineStyle[element.role] : undefined;
  const above = lane === 0;
  const crowded = inRow > 10;
  // Labels take turns at two or three heights so that neighbours do not touch.
  const heights = crowded ? [34, 62, 90] : [62, 34];
  const away = entryAt(heights, order % heights.length);
  // Beside the main run there is room on both sides of a row.
  const over = above || (lane > 0 && order % 2 === 1);
  const below = lane === -1 ? entryAt([34, 62], order % 2) : lane === -2 ? 24 : 34;
  const labelY = above ? y - away : over ? y - 36 : y + below;
  // Under the end of a row beside the main run a rail or a joint leads down: labels stay before it.
  const words =
    lane > 0 && !over && order === inRow - 1
      ? ({ x: x1 - 6, textAnchor: 'end' } as const)
      : ({ x: middle, textAnchor: 'middle' } as const);
  // Small joints keep their name to themselves where there is no room.
  const labelled = selected || !(element.kind === 'fitting' && (crowded || lane > 0));
  const off = element.kind === 'pump' && state !== undefined && Math.abs(state.massFlow) < 1e-6;
  return (
    <>
      <rect
        x={Math.min(x0, x1)}
        y={y - 26}
        width={Math.abs(x1 - x0)}
        height="52"
        fill="transparent"
      />
      <line
        x1={x0}
        x2={x1}
        y1={y}
        y2={y}
        stroke={style?.colour ?? 'var(--ink)'}
        strokeWidth={selected && style ? 5 : style ? 3 : 1.5}
        strokeDasharray={style?.dash}
      />
      {style ? (
        <g>
          <rect
            x={middle - 8}
            y={y - 9}
            width="16"
            height="18"
            fill="var(--paper)"
            stroke={style.colour}
            strokeWidth={selected ? 3 : 1.5}
          />
          <text
            x={middle}
            y={y + 5}
            textAnchor="middle"
            style={{ font: '500 13px var(--font-sans)' }}
          >
            {style.letter}
          </text>
        </g>
      ) : (
        <g transform={`translate(${middle} ${y})`} opacity={off ? 0.45 : 1}>
          <ElementSymbol element={element} selected={selected} />
        </g>
      )}
      {labelled && (
        <>
          <line
            x1={middle}
            x2={middle}
            y1={over ? y - 20 : y + 20}
            y2={over ? labelY + 18 : labelY - 12}
            stroke="var(--hair)"
            strokeWidth="0.75"
          />
          <text
            {...words}
            y={labelY}
            style={selected ? { font: '500 12px var(--font-narrow)' } : undefined}
          >
            {shortName(element.name)}
          </text>
          <text {...words} y={labelY + 14} fill="var(--second)">
            {off ? 'off' : reading(props)}
          </text>
        </>
      )}
      {trouble && (
        <path
          d={`M${middle + 20} ${y - 20}l5 5l-5 5l-5 -5Z`}
          fill={trouble === 'stop' ? 'var(--signal)' : 'none'}
          stroke="var(--signal)"
          strokeWidth="1.5"
        />
      )}
    </>
  );
}
