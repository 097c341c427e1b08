import {
  type Build,
  type LineRole,
  type Path,
  type PlacedComponent,
  type PlacedComponents,
  type ProposedWay,
  type ToldComponent,
  type ToldLine,
  type Vector,
  clampPitch,
  evenClamps,
  formatMeasure,
  outlineOf,
  pointAt,
  polylineOf,
  shapeOf,
  vectorOf,
} from '@brookrain/core';
import { type ReactNode, useRef } from 'react';
import { useUnits } from '../../ui/preferences.ts';
import { lineStyle } from '../circuit/lineStyle.ts';
import { ComponentShapes } from './ComponentShapes.tsx';
import { PlaceHandle } from './PlaceHandle.tsx';
import { Tape, type TapeEnds } from './Tape.tsx';
import { type Label, ThingNames, clearOf, labelsOf } from './ThingNames.tsx';
import { HALO, MapPatterns, ThingShapes } from './ThingShapes.tsx';
import type { Handle } from './handles.ts';
import type { MapLayer } from './layers.ts';
import { type MapScale, type MapView, mapScale } from './mapScale.ts';
import type { Selection } from './selection.ts';

const WIDTH = 740;
/** Side and plan together are no higher, so that both are in sight. */
const BOTH = 560;
const titles: Readonly<Record<MapView, string>> = {
  side: 'From the right',
  plan: 'From above, left side up',
  end: 'From behind',
};

/** A line as it is drawn: its way where it has one. */
export interface DrawnLine {
  readonly id: string;
  readonly name: string;
  readonly role: LineRole;
  readonly ends: readonly [Vector, Vector];
  readonly endNames: readonly [string, string];
  readonly told: ToldLine | undefined;
}

type Props = {
  build: Build;
  placed: PlacedComponents;
  /** parts at the place that is looked at */
  looked: readonly PlacedComponent[];
  views: readonly MapView[];
  shows: (layer: MapLayer) => boolean;
  lines: readonly DrawnLine[];
  selection: Selection;
  select: (selection: Selection) => void;
  handles: readonly Handle[];
  picked: Path | undefined;
  pick: (path: Path) => void;
  move: (handle: Handle, to: Vector) => void;
  /** where a handle is held at the moment; undefined once it is let go */
  moving?: (handle: Handle, to: Vector | undefined) => void;
  ways: readonly ProposedWay[];
  /** the two ends of the tape, while something is measured */
  tape: TapeEnds | undefined;
  moveTape: (ends: TapeEnds) => void;
  /** what leaves the part that is looked at least */
  near: ToldComponent['nearest'];
  /** how much of the vehicle is seen */
  extent: MapExtent;
  /** places of what is looked at */
  focus: readonly Vector[];
  /** what else is drawn over the vehicle */
  over?: (scale: MapScale) => ReactNode;
};

const pathOf = (scale: MapScale, points: readonly Vector[]): string =>
  points
    .map((p, i) => `${i === 0 ? 'M' : 'L'}${scale.x(p).toFixed(1)} ${scale.y(p).toFixed(1)}`)
    .join('');

/** How much of the vehicle the views show. */
export const mapExtents = {
  work: 'Where the work is',
  whole: 'The whole vehicle',
  close: 'What is picked',
} as const;
export type MapExtent = keyof typeof mapExtents;

/** All places that are shown: the whole length and width, up to where things stand or to the top. */
function shownPlaces({ build, lines, extent, focus }: Props): readonly Vector[] {
  if (extent === 'close' && focus.length > 0) return focus;
  const { vehicle, placements, hotRuns, solids } = build;
  const half = vehicle.width.value / 2;
  const outline = outlineOf(vehicle);
  const top = extent === 'whole' ? Infinity : 0;
  return [
    ...outline.flatMap(({ x, z }): Vector[] => [
      [x, half, Math.min(z, top)],
      [x, -half, Math.min(z, top)],
    ]),
    ...placements.map(vectorOf),
    ...hotRuns.flatMap((run) => run.points.map(vectorOf)),
    ...solids.flatMap((solid) => [vectorOf(solid.low), vectorOf(solid.high)]),
    ...lines.flatMap((line) => line.told?.points.map((p) => p.at) ?? []),
  ];
}

/** The vehicle in two or three views in step: what is on it, its lines, what comes nearest. */
export function MapDrawing(props: Props) {
  const places = shownPlaces(props);
  return (
    <div className="space-y-2">
      {props.views.map((view) => (
        <View key={view} view={view} places={places} {...props} />
      ))}
    </div>
  );
}

function View({ view, places, ...props }: Props & { view: MapView; places: readonly Vector[] }) {
  const { build, lines, selection, select, shows, handles } = props;
  const svg = useRef<SVGSVGElement>(null);
  const scale = mapScale(view, places, WIDTH, BOTH);
  const { x, y } = scale;
  const chosen = selection.kind === 'line' ? lines.find((l) => l.id === selection.id) : undefined;
  const near = chosen?.told?.nearest ?? props.near;
  const endLabels: readonly Label[] = chosen
    ? chosen.ends.map((at, i) => ({
        id: `end-${i}`,
        text: chosen.endNames[i === 0 ? 0 : 1],
        x: x(at),
        y: y(at) + (i === 0 ? 16 : -8),
      }))
    : props.looked.map(({ id, name, body }) => ({
        id,
        text: name,
        x: x(body.middle),
        y: y(body.middle) - 14,
      }));
  return (
    <figure>
      <figcaption className="text-[13px] text-second">{titles[view]}</figcaption>
      <svg
        ref={svg}
        viewBox={`0 0 ${scale.width} ${scale.height}`}
        aria-label={`Map, ${titles[view].toLowerCase()}`}
        role="group"
        className="border-[0.75px] border-hair"
        style={{ width: `${(100 * scale.width) / WIDTH}%`, maxWidth: '100%' }}
      >
        <MapPatterns />
        <line
          x1="0"
          x2={scale.width}
          y1={y([0, 0, 0])}
          y2={y([0, 0, 0])}
          stroke="var(--edge)"
          strokeWidth="0.75"
          strokeDasharray={view === 'plan' ? '10 4 2 4' : undefined}
        />
        <ThingShapes {...{ build, scale, shows, selection, select }} />
        {shows('components') && (
          <ComponentShapes {...{ placed: props.placed, scale, selection, select }} />
        )}
        <ThingNames {...{ build, scale, shows }} />
        {lines.map(({ id, role, told }) => {
          if (!told || !shows(told.carries === 'fuel' ? 'lines' : 'otherLines')) return null;
          const style = lineStyle[role];
          const points = told.path ? polylineOf(told.path) : told.points.map((p) => p.at);
          return (
            <g key={id} className="cursor-pointer" onClick={() => select({ kind: 'line', id })}>
              <path d={pathOf(scale, points)} fill="none" stroke="transparent" strokeWidth="12" />
              <path
                d={pathOf(scale, points)}
                fill="none"
                stroke={told.path ? style.colour : 'var(--signal)'}
                strokeWidth={id === chosen?.id ? 3.5 : 1.75}
                strokeDasharray={told.path ? style.dash : '3 3'}
              />
            </g>
          );
        })}
        {props.over?.(scale)}
        {chosen && <WaysDrawn line={chosen} ways={props.ways} scale={scale} />}
        {chosen &&
          endLabels.map((label) => (
            <text
              key={label.id}
              x={label.x}
              y={label.y}
              textAnchor="middle"
              className="pointer-events-none"
              {...HALO}
            >
              {label.text}
            </text>
          ))}
        {chosen && <Clamps line={chosen} build={build} scale={scale} />}
        {near && (
          <Dimension
            near={near}
            scale={scale}
            others={[...endLabels, ...labelsOf(build, scale, shows)]}
          />
        )}
        {handles.map((handle) => (
          <PlaceHandle
            key={handle.path.join('/')}
            name={handle.name}
            at={handle.at}
            scale={scale}
            svg={svg}
            selected={handle.path.join('/') === props.picked?.join('/')}
            select={() => props.pick(handle.path)}
            move={(to) => props.move(handle, to)}
            moving={(to) => props.moving?.(handle, to)}
          />
        ))}
        {props.tape && (
          <Tape ends={props.tape} move={props.moveTape} scale={scale} svg={svg} snapTo={places} />
        )}
      </svg>
    </figure>
  );
}

/** Where the line that is looked at is clamped: as placed, or as the rule asks. */
function Clamps({ line, build, scale }: { line: DrawnLine; build: Build; scale: MapScale }) {
  const { told } = line;
  const path = told?.path;
  if (!told || !path) return null;
  const placed = build.routes.find(({ id }) => id === told.routeId)?.clamps ?? [];
  const along =
    placed.length > 0
      ? placed.map(({ at }) => at.value)
      : evenClamps(path.length, clampPitch(told.rigid));
  return along.map((s, i) => {
    const at = pointAt(path, s);
    return (
      at && (
        <rect
          key={i}
          x={scale.x(at) - 3}
          y={scale.y(at) - 3}
          width="6"
          height="6"
          fill={placed.length > 0 ? 'var(--ink)' : 'var(--paper)'}
          stroke="var(--ink)"
          className="pointer-events-none"
        />
      )
    );
  });
}

/** The clearance that matters most, drawn as a dimension with its number. */
function Dimension({
  near,
  scale: { x, y },
  others,
}: {
  near: Pick<NonNullable<ToldLine['nearest']>, 'nearest' | 'clearance' | 'margin' | 'name'>;
  scale: MapScale;
  /** words that are drawn already */
  others: readonly Label[];
}) {
  const [units] = useUnits();
  const { at, to } = near.nearest;
  const text = `${formatMeasure({ value: near.clearance, kind: 'length' }, units, 2)} to ${near.name.toLowerCase()}`;
  const label = clearOf(
    { id: 'near', text, x: (x(at) + x(to)) / 2 + 8, y: (y(at) + y(to)) / 2 + 16 },
    others,
  );
  return (
    <g className="pointer-events-none">
      <line x1={x(at)} y1={y(at)} x2={x(to)} y2={y(to)} stroke="var(--ink)" strokeWidth="1.5" />
      <circle cx={x(at)} cy={y(at)} r="2" fill="var(--ink)" />
      <text
        x={label.x}
        y={label.y}
        textAnchor="middle"
        className="font-medium"
        {...HALO}
        fill={near.margin < 0 ? 'var(--signal)' : 'var(--ink)'}
      >
        {text}
      </text>
    </g>
  );
}

const dashes = ['9 4', '3 4', '1 5'] as const;

/** Ways that are proposed, numbered, beside the one that is there. */
function WaysDrawn({
  line,
  ways,
  scale,
}: {
  line: DrawnLine;
  ways: readonly ProposedWay[];
  scale: MapScale;
}) {
  return ways.map((way, i) => {
    const shape = shapeOf([
      { at: line.ends[0], radius: 0 },
      ...way.corners,
      { at: line.ends[1], radius: 0 },
    ]);
    if (!shape.ok) return null;
    return (
      <g key={i} className="pointer-events-none">
        <path
          d={pathOf(scale, polylineOf(shape.path))}
          fill="none"
          stroke="var(--moss)"
          strokeWidth="2.5"
          strokeDasharray={dashes[i]}
        />
        <text
          x={scale.x(way.middle)}
          y={scale.y(way.middle) - 6}
          textAnchor="middle"
          fill="var(--moss)"
          className="font-medium"
          {...HALO}
        >
          {i + 1}
        </text>
      </g>
    );
  });
}
