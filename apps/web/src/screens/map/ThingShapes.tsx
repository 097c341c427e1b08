import {
  type Box,
  type Build,
  type MapThingSlice,
  type MovingZone,
  type Space,
  type Vector,
  cornersOf,
  outlineOf,
  planeOf,
  vectorOf,
} from '@brookrain/core';
import type { MapLayer } from './layers.ts';
import type { MapScale } from './mapScale.ts';
import { type Selection, sameSelection } from './selection.ts';

type Props = {
  build: Build;
  scale: MapScale;
  shows: (layer: MapLayer) => boolean;
  selection: Selection;
  select: (selection: Selection) => void;
};

/** Keeps words apart from the lines behind them. */
export const HALO = { paintOrder: 'stroke', stroke: 'var(--paper)', strokeWidth: 4 } as const;

const pathOf = (scale: MapScale, points: readonly Vector[], closed = false): string =>
  points
    .map((p, i) => `${i === 0 ? 'M' : 'L'}${scale.x(p).toFixed(1)} ${scale.y(p).toFixed(1)}`)
    .join('') + (closed ? 'Z' : '');

/** A box as a rectangle of the view. */
export const rectOf = ({ x, y }: MapScale, { low, high }: Box) => ({
  x: Math.min(x(low), x(high)),
  y: Math.min(y(low), y(high)),
  width: Math.abs(x(high) - x(low)),
  height: Math.abs(y(high) - y(low)),
});

export const boxOf = (thing: { low: Space['low']; high: Space['high'] }): Box => ({
  low: vectorOf(thing.low),
  high: vectorOf(thing.high),
});

const spaceFill: Readonly<Record<Space['use'], string>> = {
  cabin: 'url(#map-cabin)',
  crush: 'url(#map-crush)',
  splash: 'url(#map-splash)',
};

/** Patterns of the zones: told apart by their strokes, not by hue. */
export const MapPatterns = () => (
  <defs>
    <pattern id="map-cabin" width="9" height="9" patternUnits="userSpaceOnUse">
      <circle cx="2" cy="2" r="0.8" fill="var(--edge)" />
    </pattern>
    <pattern id="map-crush" width="9" height="9" patternUnits="userSpaceOnUse">
      <path d="M0 9L9 0" stroke="var(--edge)" strokeWidth="0.75" />
    </pattern>
    <pattern id="map-splash" width="14" height="8" patternUnits="userSpaceOnUse">
      <path d="M0 4q3.5 -4 7 0t7 0" fill="none" stroke="var(--edge)" strokeWidth="0.6" />
    </pattern>
  </defs>
);

/** The vehicle itself: outline and wheels. */
function Outline({ build, scale, selection, select }: Omit<Props, 'shows'>) {
  const { vehicle } = build;
  const half = vehicle.width.value / 2;
  const rear = -vehicle.rearOverhang.value;
  const front = vehicle.wheelbase.value + vehicle.frontOverhang.value;
  const top = vehicle.height.value;
  const low = vehicle.clearance.value;
  const outline: readonly Vector[] =
    scale.view === 'side'
      ? outlineOf(vehicle).map(({ x, z }): Vector => [x, 0, z])
      : scale.view === 'plan'
        ? [
            [rear, -half, 0],
            [rear, half, 0],
            [front, half, 0],
            [front, -half, 0],
          ]
        : [
            [0, half, low],
            [0, 0.9 * half, top],
            [0, -0.9 * half, top],
            [0, -half, low],
          ];
  const chosen = selection.kind === 'vehicle';
  const radius = vehicle.tyre.value / 2;
  const { x, y, perMetre } = scale;
  return (
    <g className="cursor-pointer" onClick={() => select({ kind: 'vehicle' })}>
      <path
        d={pathOf(scale, outline, true)}
        fill="none"
        stroke="var(--second)"
        strokeWidth={chosen ? 3 : 1.5}
        strokeLinejoin="round"
      />
      {scale.view === 'side' &&
        [0, vehicle.wheelbase.value].map((axle) => (
          <circle
            key={axle}
            cx={x([axle, 0, radius])}
            cy={y([axle, 0, radius])}
            r={radius * perMetre}
            fill="none"
            stroke="var(--edge)"
            strokeWidth="0.75"
          />
        ))}
      <line
        x1={x([rear, half, low])}
        x2={x([front, -half, low])}
        y1={y([0, 0, low])}
        y2={y([0, 0, low])}
        stroke="var(--edge)"
        strokeWidth={scale.view === 'plan' ? 0 : 0.75}
        strokeDasharray="6 4"
      />
    </g>
  );
}

function MovingShape({ zone, scale }: { zone: MovingZone; scale: MapScale }) {
  const { room } = zone;
  const style = { stroke: 'var(--ink)', strokeWidth: 0.75, strokeDasharray: '3 2' };
  const reach = zone.travel.value;
  if (room.shape === 'box') {
    const box = boxOf(room);
    const rect = rectOf(scale, box);
    const by = reach * scale.perMetre;
    return (
      <>
        <rect {...rect} fill="var(--panel)" fillOpacity="0.6" {...style} strokeDasharray="none" />
        {reach > 0 && (
          <rect
            x={rect.x - by}
            y={rect.y - by}
            width={rect.width + 2 * by}
            height={rect.height + 2 * by}
            fill="none"
            {...style}
          />
        )}
      </>
    );
  }
  const d = pathOf(scale, [vectorOf(room.from), vectorOf(room.to)]);
  const width = Math.max(3, room.diameter.value * scale.perMetre);
  return (
    <>
      <path
        d={d}
        stroke="var(--edge)"
        strokeOpacity="0.25"
        strokeWidth={width + 2 * reach * scale.perMetre}
        strokeLinecap="round"
      />
      <path d={d} stroke="var(--edge)" strokeOpacity="0.6" strokeWidth={width} />
      <path d={d} stroke="var(--ink)" strokeWidth="0.75" strokeDasharray="10 3 2 3" />
    </>
  );
}

/** Everything on the map but its lines, in the order in which it lies over one another. */
export function ThingShapes({ build, scale, shows, selection, select }: Props) {
  const thing = (slice: MapThingSlice, id: string) => {
    const own: Selection = { kind: 'thing', slice, id };
    return {
      chosen: sameSelection(own, selection),
      group: { className: 'cursor-pointer', onClick: () => select(own) },
    };
  };
  return (
    <>
      {shows('spaces') &&
        build.spaces.map((space) => {
          const { chosen, group } = thing('spaces', space.id);
          const rect = rectOf(scale, boxOf(space));
          return (
            <g key={space.id} {...group}>
              <rect
                {...rect}
                fill={
                  space.use === 'splash' && scale.view === 'plan' ? 'none' : spaceFill[space.use]
                }
                stroke="var(--edge)"
                strokeWidth={chosen ? 3 : 0.75}
                strokeDasharray="1 3"
              />
            </g>
          );
        })}
      {shows('outline') && <Outline {...{ build, scale, selection, select }} />}
      {shows('solids') &&
        build.solids.map((solid) => {
          const { chosen, group } = thing('solids', solid.id);
          const rect = rectOf(scale, boxOf(solid));
          return (
            <g key={solid.id} {...group}>
              <rect
                {...rect}
                fill="var(--panel)"
                fillOpacity="0.75"
                stroke={chosen ? 'var(--moss)' : 'var(--edge)'}
                strokeWidth={chosen ? 3 : 1}
              />
            </g>
          );
        })}
      {shows('movingZones') &&
        build.movingZones.map((zone) => {
          const { chosen, group } = thing('movingZones', zone.id);
          return (
            <g key={zone.id} {...group} opacity={chosen ? 1 : 0.8}>
              <MovingShape zone={zone} scale={scale} />
            </g>
          );
        })}
      {shows('sheets') &&
        build.sheets.map((sheet) => {
          const { chosen, group } = thing('sheets', sheet.id);
          return (
            <g key={sheet.id} {...group}>
              <path
                d={pathOf(scale, cornersOf(planeOf(sheet)), true)}
                fill="var(--edge)"
                fillOpacity="0.06"
                stroke={chosen ? 'var(--moss)' : 'var(--second)'}
                strokeWidth={chosen ? 3 : 1.25}
              />
              {sheet.passThroughs.map((hole) => (
                <circle
                  key={hole.id}
                  cx={scale.x(vectorOf(hole))}
                  cy={scale.y(vectorOf(hole))}
                  r={Math.max(3, (hole.bore.value / 2) * scale.perMetre)}
                  fill="var(--paper)"
                  stroke="var(--second)"
                  strokeWidth="1.25"
                >
                  <title>{hole.name}</title>
                </circle>
              ))}
            </g>
          );
        })}
      {shows('mountingLines') &&
        build.mountingLines.map((line) => {
          const { chosen, group } = thing('mountingLines', line.id);
          return (
            <path
              key={line.id}
              {...group}
              d={pathOf(scale, [vectorOf(line.from), vectorOf(line.to)])}
              stroke="var(--moss)"
              strokeWidth={chosen ? 3 : 1}
              strokeDasharray="14 3 2 3"
            />
          );
        })}
      {shows('edges') &&
        build.edges.map((edge) => {
          const { chosen, group } = thing('edges', edge.id);
          return (
            <path
              key={edge.id}
              {...group}
              d={pathOf(scale, [vectorOf(edge.from), vectorOf(edge.to)])}
              stroke="var(--ink)"
              strokeWidth={chosen ? 4 : 2.5}
              strokeDasharray={edge.covered ? undefined : '1 2'}
            />
          );
        })}
      {shows('hotRuns') &&
        build.hotRuns.map((run) => {
          const { chosen, group } = thing('hotRuns', run.id);
          const d = pathOf(scale, run.points.map(vectorOf));
          return (
            <g key={run.id} {...group}>
              <path
                d={d}
                fill="none"
                stroke="var(--signal)"
                strokeOpacity={chosen ? 0.6 : 0.3}
                strokeWidth={Math.max(3, run.diameter.value * scale.perMetre)}
                strokeLinejoin="round"
              />
              <path d={d} fill="none" stroke="var(--signal)" strokeWidth="0.75" />
            </g>
          );
        })}
      {shows('placements') &&
        build.placements.map((place) => {
          const { chosen, group } = thing('placements', place.id);
          const measured = build.hardPoints.some((p) => p.placementId === place.id);
          return (
            <circle
              key={place.id}
              {...group}
              cx={scale.x(vectorOf(place))}
              cy={scale.y(vectorOf(place))}
              r={chosen ? 4 : 2.8}
              fill={measured ? 'var(--moss)' : 'var(--paper)'}
              stroke={measured ? 'var(--moss)' : 'var(--second)'}
            >
              <title>{place.name}</title>
            </circle>
          );
        })}
    </>
  );
}
