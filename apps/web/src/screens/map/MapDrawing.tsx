import {
  type LineRole,
  type Placement,
  type ToldLine,
  type Vector,
  formatMeasure,
  polylineOf,
} from '@brookrain/core';
import { useRef } from 'react';
import { useUnits } from '../../ui/preferences.ts';
import { lineStyle } from '../circuit/lineStyle.ts';
import { PlaceHandle } from './PlaceHandle.tsx';
import { type MapView, mapScale } from './mapScale.ts';
import type { Corner } from './useCorners.ts';

const WIDTH = 740;
/** Keeps words apart from the lines behind them. */
const HALO = { paintOrder: 'stroke', stroke: 'var(--paper)', strokeWidth: 4 } as const;
const titles: Readonly<Record<MapView, string>> = {
  side: 'From the right',
  plan: 'From above, left side up',
};

/** A line as it is drawn: its way where it has one. */
export interface DrawnLine {
  readonly id: string;
  readonly name: string;
  readonly role: LineRole;
  readonly told: ToldLine | undefined;
}

/** A hot pipe as it is drawn. */
export interface DrawnRun {
  readonly id: string;
  readonly name: string;
  readonly diameter: number;
  readonly points: readonly Vector[];
}

type Props = {
  places: readonly Placement[];
  lines: readonly DrawnLine[];
  runs: readonly DrawnRun[];
  /** line or hot pipe that is looked at */
  selected: string;
  select: (id: string) => void;
  corners: readonly Corner[];
  corner: string | undefined;
  pickCorner: (id: string) => void;
  moveCorner: (id: string, to: Vector) => void;
  /** places of the two ends of the selected line */
  ends: readonly Placement[];
  /** the place that is looked at */
  place: Placement | undefined;
  movePlace: (place: Placement, to: Vector) => void;
  selectPlace: (id: string) => void;
};

const at = (p: Placement): Vector => [p.x.value, p.y.value, p.z.value];

/** Side and plan of the vehicle in step: places, hot pipes, lines, and what comes nearest. */
export function MapDrawing(props: Props) {
  return (
    <div className="space-y-2">
      <View view="side" {...props} />
      <View view="plan" {...props} />
    </div>
  );
}

function View({ view, ...props }: Props & { view: MapView }) {
  const { places, lines, runs, selected, select, corners } = props;
  const [units] = useUnits();
  const svg = useRef<SVGSVGElement>(null);
  const everything = [
    ...places.map(at),
    ...runs.flatMap((run) => run.points),
    ...lines.flatMap((line) => line.told?.points.map((p) => p.at) ?? []),
  ];
  const scale = mapScale(view, everything, WIDTH);
  const { x, y } = scale;
  const way = (points: readonly Vector[]): string =>
    points.map((p, i) => `${i === 0 ? 'M' : 'L'}${x(p).toFixed(1)} ${y(p).toFixed(1)}`).join('');
  const heat = lines.find((line) => line.id === selected)?.told?.heat;
  return (
    <figure>
      <figcaption className="text-[13px] text-second">{titles[view]}</figcaption>
      <svg
        ref={svg}
        viewBox={`0 0 ${scale.width} ${scale.height}`}
        aria-label={`Map, ${titles[view].toLowerCase()}`}
        role="group"
        className="w-full border-[0.75px] border-hair"
      >
        <line
          x1="0"
          x2={scale.width}
          y1={y([0, 0, 0])}
          y2={y([0, 0, 0])}
          stroke="var(--edge)"
          strokeWidth="0.75"
          strokeDasharray={view === 'plan' ? '10 4 2 4' : undefined}
        />
        <text x="6" y={y([0, 0, 0]) - 4} className="text-[11px]" fill="var(--second)">
          {view === 'side' ? 'ground' : 'middle'}
        </text>
        {runs.map((run) => (
          <g key={run.id} className="cursor-pointer" onClick={() => select(run.id)}>
            <path
              d={way(run.points)}
              fill="none"
              stroke="var(--signal)"
              strokeOpacity={run.id === selected ? 0.6 : 0.3}
              strokeWidth={Math.max(3, run.diameter * scale.perMetre)}
              strokeLinejoin="round"
            />
            <path d={way(run.points)} fill="none" stroke="var(--signal)" strokeWidth="0.75" />
          </g>
        ))}
        {places.map((place) => (
          <circle
            key={place.id}
            cx={x(at(place))}
            cy={y(at(place))}
            r="2.5"
            fill="var(--paper)"
            stroke="var(--edge)"
            className="cursor-pointer"
            onClick={() => props.selectPlace(place.id)}
          >
            <title>{place.name}</title>
          </circle>
        ))}
        {lines.map(({ id, role, told }) => {
          if (!told) return null;
          const style = lineStyle[role];
          const points = told.path ? polylineOf(told.path) : told.points.map((p) => p.at);
          return (
            <g key={id} className="cursor-pointer" onClick={() => select(id)}>
              <path d={way(points)} fill="none" stroke="transparent" strokeWidth="14" />
              <path
                d={way(points)}
                fill="none"
                stroke={told.path ? style.colour : 'var(--signal)'}
                strokeWidth={id === selected ? 3 : 1.5}
                strokeDasharray={told.path ? style.dash : '3 3'}
              />
            </g>
          );
        })}
        {props.ends.map((place, i) => (
          <text
            key={place.id}
            x={x(at(place))}
            y={y(at(place)) + (i === 0 ? 16 : -8)}
            textAnchor="middle"
            {...HALO}
          >
            {place.name}
          </text>
        ))}
        {heat && (
          <g>
            <line
              x1={x(heat.nearest.at)}
              y1={y(heat.nearest.at)}
              x2={x(heat.nearest.to)}
              y2={y(heat.nearest.to)}
              stroke="var(--ink)"
              strokeWidth="1.5"
            />
            <text
              x={(x(heat.nearest.at) + x(heat.nearest.to)) / 2 + 8}
              y={(y(heat.nearest.at) + y(heat.nearest.to)) / 2 + 14}
              className="font-medium"
              {...HALO}
              fill={heat.margin < 0 ? 'var(--signal)' : 'var(--ink)'}
            >
              {formatMeasure({ value: heat.clearance, kind: 'length' }, units, 2)}
            </text>
          </g>
        )}
        {props.place && (
          <PlaceHandle
            key={props.place.id}
            name={props.place.name}
            at={at(props.place)}
            scale={scale}
            svg={svg}
            selected
            move={(to) => props.place && props.movePlace(props.place, to)}
          />
        )}
        {corners.map((corner, i) => (
          <PlaceHandle
            key={corner.id}
            name={`Corner ${i + 1}`}
            at={corner.at}
            scale={scale}
            svg={svg}
            selected={corner.id === props.corner}
            select={() => props.pickCorner(corner.id)}
            move={(to) => props.moveCorner(corner.id, to)}
          />
        ))}
      </svg>
    </figure>
  );
}
