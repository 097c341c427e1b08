import { type CurvePoint, type Path, entryAt, valueAt } from '@brookrain/core';
import { scaleLinear } from 'd3-scale';
import { useDrag } from '@use-gesture/react';
import { type KeyboardEvent, useRef, useState } from 'react';
import { useBuild } from '../../build/BuildContext.ts';

type Props = {
  title: string;
  /** where the curve stands in the build */
  path: Path;
  /** highest value drawn, SI */
  top: number;
  /** what the value 1 is on the axis (100 %, or the full boost), and the axis' unit */
  axis: { readonly full: number; readonly unit: string };
  range: { readonly low: number; readonly high: number };
  maxSpeed: number;
};

type IdentifiedPoint = CurvePoint & { readonly id: string };

const W = 372;
const H = 200;
const box = { left: 52, right: 12, top: 14, bottom: 26 };
const RPM_STEP = 50;
const VALUE_STEP = 0.01;

const clamp = (value: number, low: number, high: number): number =>
  Math.min(high, Math.max(low, value));
const rounded = (value: number, step: number): number => Math.round(value / step) * step;

/** A curve sketched with a few points: dragged, or stepped by arrow keys. One edit on drop. */
export function CurveEditor({ title, path, top, axis, range, maxSpeed }: Props) {
  const { edit, stored } = useBuild();
  const kept = valueAt(stored, path) as Readonly<Record<string, CurvePoint>>;
  const points = Object.entries(kept)
    .map(([id, point]): IdentifiedPoint => ({ ...point, id }))
    .sort((a, b) => a.speed.value - b.speed.value);
  const svg = useRef<SVGSVGElement>(null);
  const [held, setHeld] = useState<{ index: number; points: readonly IdentifiedPoint[] }>();
  const [focused, setFocused] = useState<number>();
  const shown = held?.points ?? points;
  const x = scaleLinear([0, maxSpeed * 60], [box.left, W - box.right]);
  const y = scaleLinear([0, top], [H - box.bottom, box.top]);
  const read = (value: number): string => {
    const shown = value * axis.full;
    const digits = axis.full < 20 ? 2 : 0;
    return `${Number(shown.toFixed(digits))} ${axis.unit}`;
  };
  const ticks = scaleLinear([0, top * axis.full], [0, 1])
    .ticks(5)
    .map((shown) => shown / axis.full);
  const rpm = (point: CurvePoint): number => point.speed.value * 60;

  const moved = (index: number, speedRpm: number, value: number): IdentifiedPoint[] => {
    const before = shown[index - 1];
    const after = shown[index + 1];
    const low = before ? rpm(before) + RPM_STEP : 0;
    const high = after ? rpm(after) - RPM_STEP : maxSpeed * 60;
    const next: IdentifiedPoint = {
      id: entryAt(shown, index).id,
      speed: { value: clamp(rounded(speedRpm, RPM_STEP), low, high) / 60, unit: 'rpm' },
      value: {
        value: clamp(Number(rounded(value, VALUE_STEP).toFixed(4)), range.low, range.high),
        unit: '%',
      },
    };
    return shown.map((p, i) => (i === index ? next : p));
  };
  const keep = (change: typeof held): void => {
    const point = change?.points[change.index];
    if (point) {
      const { id, ...value } = point;
      edit({ name: 'set', path: [...path, id], value });
    }
    setHeld(undefined);
  };
  /** The points with one of them under the pointer. */
  const under = (index: number, [clientX, clientY]: readonly [number, number]) => {
    const rect = svg.current?.getBoundingClientRect();
    if (!rect) return undefined;
    const px = ((clientX - rect.left) / rect.width) * W;
    const py = ((clientY - rect.top) / rect.height) * H;
    return { index, points: moved(index, x.invert(px), y.invert(py)) };
  };
  const bindDrag = useDrag(
    ({ args: [index], xy, first, last, canceled, event }) => {
      if (first) (event.currentTarget as SVGElement | null)?.focus();
      if (canceled) return setHeld(undefined);
      const change = under(index as number, xy);
      if (last) keep(change);
      else setHeld(change);
    },
    // Keys step a point by their own measure; a press without a move moves nothing.
    { filterTaps: true, pointer: { keys: false } },
  );
  const onKey = (event: KeyboardEvent, index: number): void => {
    const step = event.shiftKey ? 5 : 1;
    const by: Record<string, [number, number]> = {
      ArrowUp: [0, VALUE_STEP * step],
      ArrowDown: [0, -VALUE_STEP * step],
      ArrowRight: [RPM_STEP * step, 0],
      ArrowLeft: [-RPM_STEP * step, 0],
    };
    const change = by[event.key];
    if (!change) return;
    event.preventDefault();
    const point = entryAt(shown, index);
    setHeld({
      index,
      points: moved(index, rpm(point) + change[0], point.value.value + change[1]),
    });
  };

  const lead = held?.index ?? focused;
  return (
    <figure>
      <figcaption className="flex justify-between gap-2">
        <span className="font-medium">{title}</span>
        <span className="text-second">
          {lead === undefined
            ? 'drag a point, or step it with arrow keys'
            : `${Math.round(rpm(entryAt(shown, lead)))} rpm, ${read(entryAt(shown, lead).value.value)}`}
        </span>
      </figcaption>
      <svg
        ref={svg}
        viewBox={`0 0 ${W} ${H}`}
        className="mt-1 w-full touch-none border-[0.75px] border-hair"
      >
        {ticks.map((value) => (
          <g key={value}>
            <line
              x1={box.left}
              x2={W - box.right}
              y1={y(value)}
              y2={y(value)}
              stroke="var(--hair)"
              strokeWidth="0.75"
            />
            <text x={box.left - 5} y={y(value) + 4} textAnchor="end">
              {read(value)}
            </text>
          </g>
        ))}
        {x.ticks(6).map((value) => (
          <text key={value} x={x(value)} y={H - 8} textAnchor="middle">
            {value}
          </text>
        ))}
        <text x={box.left - 14} y={H - 8} textAnchor="end" fill="var(--second)">
          rpm
        </text>
        <path
          d={shown.map((p, i) => `${i === 0 ? 'M' : 'L'}${x(rpm(p))} ${y(p.value.value)}`).join('')}
          fill="none"
          stroke="var(--moss)"
          strokeWidth="1.5"
        />
        {shown.map((point, index) => (
          <g
            key={index}
            role="slider"
            tabIndex={0}
            aria-label={`${title}, point ${index + 1}`}
            aria-valuenow={Math.round(point.value.value * 100)}
            aria-valuetext={`${Math.round(rpm(point))} rpm, ${read(point.value.value)}`}
            className="cursor-grab"
            {...bindDrag(index)}
            onFocus={() => setFocused(index)}
            onKeyDown={(event) => onKey(event, index)}
            onKeyUp={() => keep(held)}
            onBlur={() => {
              setFocused(undefined);
              keep(held);
            }}
          >
            <circle cx={x(rpm(point))} cy={y(point.value.value)} r="13" fill="transparent" />
            <rect
              x={x(rpm(point)) - 4.5}
              y={y(point.value.value) - 4.5}
              width="9"
              height="9"
              fill={lead === index ? 'var(--moss)' : 'var(--paper)'}
              stroke="var(--moss)"
              strokeWidth="1.5"
            />
          </g>
        ))}
      </svg>
    </figure>
  );
}
