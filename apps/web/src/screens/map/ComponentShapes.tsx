import {
  type OrientedBox,
  type PlacedComponent,
  type PlacedComponents,
  type Vector,
  cornersOfBox,
  roomBefore,
} from '@brookrain/core';
import { HALO } from './ThingShapes.tsx';
import { hullOf } from './hull.ts';
import type { MapScale } from './mapScale.ts';
import { type Selection, sameSelection } from './selection.ts';

/** The outline of a box that looks somewhere, as a view shows it. */
function outlineOf(body: OrientedBox, { x, y }: MapScale): string {
  const corners = hullOf(cornersOfBox(body).map((at) => [x(at), y(at)] as const));
  return (
    corners.map(([a, b], i) => `${i === 0 ? 'M' : 'L'}${a.toFixed(1)} ${b.toFixed(1)}`).join('') +
    'Z'
  );
}

/** Room that is to stay free before the part that is looked at. */
function FreeRooms({ component, scale }: { component: PlacedComponent; scale: MapScale }) {
  const { item, body, servicedFrom } = component;
  const rooms = [
    ...(servicedFrom !== 'none' && servicedFrom !== 'around' && item.serviceRoom > 0
      ? [roomBefore(body, servicedFrom, item.serviceRoom)]
      : []),
    ...('plugSide' in item && item.plugRoom > 0
      ? [roomBefore(body, item.plugSide, item.plugRoom)]
      : []),
  ];
  return rooms.map((room, i) => (
    <path
      key={i}
      d={outlineOf(room, scale)}
      fill="none"
      stroke="var(--moss)"
      strokeWidth="1"
      strokeDasharray="2 3"
    />
  ));
}

/** Parts as the boxes they take, their fuel ports, and the room before the one that is looked at. */
export function ComponentShapes({
  placed,
  scale,
  selection,
  select,
}: {
  placed: PlacedComponents;
  scale: MapScale;
  selection: Selection;
  select: (selection: Selection) => void;
}) {
  const { x, y } = scale;
  const tip = (at: Vector, direction: Vector): Vector => [
    at[0] + 0.04 * direction[0],
    at[1] + 0.04 * direction[1],
    at[2] + 0.04 * direction[2],
  ];
  return (
    <>
      {placed.components.map((component) => {
        const own: Selection = { kind: 'thing', slice: 'placements', id: component.placement.id };
        const chosen = sameSelection(own, selection);
        const ports = Object.values(placed.ports).filter((p) => p.componentId === component.id);
        return (
          <g key={component.id} className="cursor-pointer" onClick={() => select(own)}>
            <path
              d={outlineOf(component.body, scale)}
              fill="var(--paper)"
              stroke={chosen ? 'var(--moss)' : 'var(--ink)'}
              strokeWidth={chosen ? 2.5 : 1.25}
              strokeLinejoin="round"
            >
              <title>{component.name}</title>
            </path>
            {ports.map((port) => {
              const end = tip(port.at, port.direction);
              return (
                <line
                  key={`${port.side}`}
                  x1={x(port.at)}
                  y1={y(port.at)}
                  x2={x(end)}
                  y2={y(end)}
                  stroke="var(--ink)"
                  strokeWidth={chosen ? 3 : 2}
                />
              );
            })}
            {chosen && <FreeRooms component={component} scale={scale} />}
            {chosen && (
              <text
                x={x(component.body.middle)}
                y={y(component.body.middle) - 14}
                textAnchor="middle"
                className="pointer-events-none"
                {...HALO}
              >
                {component.name}
              </text>
            )}
          </g>
        );
      })}
    </>
  );
}
