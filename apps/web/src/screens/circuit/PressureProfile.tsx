import {
  type FuelCircuit,
  type ToldSolved,
  entryAt,
  valueUnder,
  firstOf,
  formatMeasure,
  fuelRun,
  runOf,
} from '@brookrain/core';
import { scaleLinear } from 'd3-scale';
import { useUnits } from '../../ui/preferences.ts';

const W = 764;
const H = 170;
const box = { left: 56, right: 16, top: 12, bottom: 24 };

type Props = { circuit: FuelCircuit; solution: ToldSolved; selected: string };

/** Gauge pressure along the run from tank outlet to tank return. */
export function PressureProfile({ circuit, solution, selected }: Props) {
  const [units] = useUnits();
  const run = runOf(circuit);
  const nodes = run.length > 0 ? [firstOf(run).from, ...run.map((e) => e.to)] : [];
  const values = nodes.map((node) => valueUnder(solution.pressures, node));
  const x = scaleLinear([0, nodes.length - 1], [box.left, W - box.right]);
  const y = scaleLinear(
    [Math.min(0, ...values), Math.max(...values)],
    [H - box.bottom, box.top],
  ).nice();
  const words = (value: number): string => formatMeasure({ value, kind: 'pressure' }, units);
  return (
    <svg
      viewBox={`0 0 ${W} ${H}`}
      className="w-full"
      role="img"
      aria-label="Pressure along the run"
    >
      {y.ticks(4).map((value) => (
        <g key={value}>
          <line
            x1={box.left}
            x2={W - box.right}
            y1={y(value)}
            y2={y(value)}
            stroke="var(--hair)"
            strokeWidth="0.75"
          />
          <text x={box.left - 6} y={y(value) + 4} textAnchor="end">
            {words(value)}
          </text>
        </g>
      ))}
      {run.map((element, i) => (
        <g key={element.id}>
          {element.id === selected && (
            <rect
              x={x(i)}
              y={box.top}
              width={x(i + 1) - x(i)}
              height={H - box.top - box.bottom}
              fill="var(--wash)"
            />
          )}
          <line
            x1={x(i)}
            x2={x(i + 1)}
            y1={y(entryAt(values, i))}
            y2={y(entryAt(values, i + 1))}
            stroke="var(--ink)"
            strokeWidth={element.id === selected ? 3 : 1.5}
          />
        </g>
      ))}
      {nodes.map((node, i) => (
        <circle
          key={node}
          cx={x(i)}
          cy={y(entryAt(values, i))}
          r="3"
          fill="var(--paper)"
          stroke="var(--ink)"
          strokeWidth="1.5"
        />
      ))}
      <text x={box.left} y={H - 6} fill="var(--second)">
        tank outlet
      </text>
      <text x={W - box.right} y={H - 6} textAnchor="end" fill="var(--second)">
        {fuelRun(circuit).back.length > 0 ? 'tank return' : 'end of the rail'}
      </text>
    </svg>
  );
}
