import { firstOf, lastOf } from '@brookrain/core';
import { scaleLinear } from 'd3-scale';
import { useNarrow } from './useNarrow.ts';

/** Drawn in the size in which it is seen, so that its words are. */
const WIDE = { W: 740, H: 560, ticks: 7 };
const NARROW = { W: 370, H: 400, ticks: 4 };
const box = { left: 66, right: 10, top: 10, bottom: 42 };

/** A cell of a map over engine speed and load. */
export interface MapCell {
  readonly s: number;
  readonly l: number;
}

type Props = {
  /** what the map shows, for those who hear it */
  label: string;
  /** rev/s */
  speeds: readonly number[];
  loads: readonly number[];
  table: readonly (readonly (number | null)[])[];
  /** share 0 to 1 of full shade for a value */
  shade: (value: number) => number;
  /** cells beyond a limit are outlined */
  beyond?: (value: number) => boolean;
  marked: MapCell;
  at: MapCell;
  look: (cell: MapCell) => void;
};

/** A table over engine speed and load; a cell is read by pointing at it or with arrow keys. */
export function SpeedLoadMap(props: Props) {
  const { label, speeds, loads, table, shade, beyond, marked, at, look } = props;
  const { W, H, ticks } = useNarrow() ? NARROW : WIDE;
  const wide = (W - box.left - box.right) / speeds.length;
  const high = (H - box.top - box.bottom) / loads.length;
  const left = (s: number): number => box.left + s * wide;
  const topOf = (l: number): number => H - box.bottom - (l + 1) * high;
  const rpm = scaleLinear(
    [firstOf(speeds) * 60, lastOf(speeds) * 60],
    [left(0) + wide / 2, left(speeds.length - 1) + wide / 2],
  );
  const within = (value: number, most: number): number => Math.min(most, Math.max(0, value));
  const walk = (ds: number, dl: number): void =>
    look({ s: within(at.s + ds, speeds.length - 1), l: within(at.l + dl, loads.length - 1) });
  const steps: Record<string, readonly [number, number]> = {
    ArrowRight: [1, 0],
    ArrowLeft: [-1, 0],
    ArrowUp: [0, 1],
    ArrowDown: [0, -1],
  };
  return (
    <svg
      viewBox={`0 0 ${W} ${H}`}
      className="mt-1 w-full"
      role="application"
      tabIndex={0}
      aria-label={label}
      onKeyDown={(event) => {
        const step = steps[event.key];
        if (!step) return;
        event.preventDefault();
        walk(...step);
      }}
    >
      {table.map((row, s) =>
        row.map((value, l) => {
          const over = value !== null && (beyond?.(value) ?? false);
          return (
            <rect
              key={`${s}-${l}`}
              x={left(s) + (over ? 1 : 0)}
              y={topOf(l) + (over ? 1 : 0)}
              width={wide - (over ? 2.5 : 0.75)}
              height={high - (over ? 2.5 : 0.75)}
              fill={value === null ? 'none' : over ? 'var(--signal)' : 'var(--moss)'}
              fillOpacity={value === null ? 0 : 0.04 + 0.88 * within(shade(value), 1)}
              stroke={over ? 'var(--signal)' : value === null ? 'var(--hair)' : 'none'}
              strokeWidth={over ? 1.5 : 0.75}
              onPointerEnter={() => look({ s, l })}
            />
          );
        }),
      )}
      {rpm.ticks(ticks).map((value) => (
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
      {(
        [
          [0, 'idle'],
          [3, 'cruise'],
          [loads.length - 1, 'full load'],
        ] as const
      ).map(([l, name]) => (
        <text key={name} x={box.left - 6} y={topOf(l) + high / 2 + 4} textAnchor="end">
          {name}
        </text>
      ))}
      <rect
        x={left(at.s) - 1}
        y={topOf(at.l) - 1}
        width={wide + 1}
        height={high + 1}
        fill="none"
        stroke="var(--ink)"
        strokeWidth="3"
      />
      <g
        transform={`translate(${left(marked.s) + wide / 2} ${topOf(marked.l) + high / 2})`}
        pointerEvents="none"
      >
        <path d="M0-8 8 0 0 8-8 0Z" fill="var(--paper)" stroke="var(--signal)" strokeWidth="2" />
      </g>
    </svg>
  );
}
