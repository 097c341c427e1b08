import { formatMeasure } from '@brookrain/core';
import { scaleLinear } from 'd3-scale';
import { useState } from 'react';
import { useBuild } from '../../build/BuildContext.ts';
import { useUnits } from '../../ui/preferences.ts';

const W = 740;
const H = 560;
const box = { left: 66, right: 10, top: 10, bottom: 42 };

/** Fuel flow over speed and load; a cell is read by pointing at it or walking with arrow keys. */
export function DemandMapDrawing() {
  const { evaluation } = useBuild();
  const [units] = useUnits();
  const { demandMap: map, demandPeak: peak } = evaluation;
  const peakAt = {
    s: map.speeds.findIndex((speed) => speed === peak.speed),
    l: map.loads.length - 1,
  };
  const [at, setAt] = useState(peakAt);
  const highest = Math.max(...map.massFlow.flat());
  const wide = (W - box.left - box.right) / map.speeds.length;
  const high = (H - box.top - box.bottom) / map.loads.length;
  const left = (s: number): number => box.left + s * wide;
  const shade = scaleLinear([0, highest], [4, 92]);
  const rpm = scaleLinear(
    [map.speeds[0]! * 60, map.speeds[map.speeds.length - 1]! * 60],
    [left(0) + wide / 2, left(map.speeds.length - 1) + wide / 2],
  );
  const cell = {
    s: Math.min(at.s, map.speeds.length - 1),
    l: Math.min(at.l, map.loads.length - 1),
  };
  const flow = map.massFlow[cell.s]![cell.l]!;
  const gauge = map.manifoldGauge[cell.s]![cell.l]!;
  const topOf = (l: number): number => H - box.bottom - (l + 1) * high;
  const walk = (ds: number, dl: number): void =>
    setAt({
      s: Math.min(map.speeds.length - 1, Math.max(0, cell.s + ds)),
      l: Math.min(map.loads.length - 1, Math.max(0, cell.l + dl)),
    });
  return (
    <figure>
      <figcaption className="flex justify-between">
        <span className="font-medium">Demand map</span>
        <span aria-live="polite">
          {Math.round(map.speeds[cell.s]! * 60)} rpm, manifold{' '}
          {formatMeasure({ value: gauge, kind: 'pressure' }, units)}:{' '}
          <strong className="font-medium">
            {formatMeasure({ value: flow, kind: 'massFlow' }, units)}
          </strong>
        </span>
      </figcaption>
      <svg
        viewBox={`0 0 ${W} ${H}`}
        className="mt-1 w-full"
        role="application"
        tabIndex={0}
        aria-label="Demand map: walk with the arrow keys to read fuel flow"
        onKeyDown={(event) => {
          const steps: Record<string, [number, number]> = {
            ArrowRight: [1, 0],
            ArrowLeft: [-1, 0],
            ArrowUp: [0, 1],
            ArrowDown: [0, -1],
          };
          const step = steps[event.key];
          if (!step) return;
          event.preventDefault();
          walk(...step);
        }}
      >
        {map.massFlow.map((row, s) =>
          row.map((value, l) => (
            <rect
              key={`${s}-${l}`}
              x={left(s)}
              y={topOf(l)}
              width={wide - 0.75}
              height={high - 0.75}
              fill="var(--moss)"
              fillOpacity={shade(value) / 100}
              onPointerEnter={() => setAt({ s, l })}
            />
          )),
        )}
        {rpm.ticks(7).map((value) => (
          <g key={value}>
            <line
              x1={rpm(value)}
              x2={rpm(value)}
              y1={H - box.bottom}
              y2={H - box.bottom + 5}
              stroke="var(--edge)"
              strokeWidth="0.75"
            />
            <text x={rpm(value)} y={H - 22} textAnchor="middle">
              {value}
            </text>
          </g>
        ))}
        <text x={box.left + (W - box.left) / 2} y={H - 6} textAnchor="middle" fill="var(--second)">
          engine speed, rpm
        </text>
        {[
          [0, 'idle'],
          [3, 'cruise'],
          [map.loads.length - 1, 'full load'],
        ].map(([l, name]) => (
          <text key={name} x={box.left - 6} y={topOf(l as number) + high / 2 + 4} textAnchor="end">
            {name}
          </text>
        ))}
        <rect
          x={left(cell.s) - 1}
          y={topOf(cell.l) - 1}
          width={wide + 1}
          height={high + 1}
          fill="none"
          stroke="var(--ink)"
          strokeWidth="3"
        />
        <g transform={`translate(${left(peakAt.s) + wide / 2} ${topOf(peakAt.l) + high / 2})`}>
          <path d="M0-8 8 0 0 8-8 0Z" fill="var(--paper)" stroke="var(--signal)" strokeWidth="2" />
        </g>
      </svg>
      <p className="text-[13px] text-second">
        <span className="text-signal">◇</span> peak of the map. Nominal flow; every check takes the
        design value, which is higher by the design factor.
      </p>
    </figure>
  );
}
