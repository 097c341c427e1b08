import type { Build } from '@brookrain/core';
import { HALO, boxOf, rectOf } from './ThingShapes.tsx';
import type { MapLayer } from './layers.ts';
import type { MapScale } from './mapScale.ts';

/** Words at a place of a view: their middle, and the line they stand on. */
export interface Label {
  readonly id: string;
  readonly text: string;
  readonly x: number;
  readonly y: number;
}

/** Width of a letter and height of a line as they are drawn. */
const LETTER = 6;
const LINE = 14;

/** Whether one would be drawn over the other. */
const overlap = (a: Label, b: Label): boolean =>
  Math.abs(a.y - b.y) < LINE &&
  Math.abs(a.x - b.x) < (LETTER * (a.text.length + b.text.length)) / 2 + 4;

/** Words moved down, line by line, until they stand clear of others; where they are after eight. */
export function clearOf(label: Label, others: readonly Label[]): Label {
  let moved = label;
  for (let tries = 0; tries < 8 && others.some((other) => overlap(other, moved)); tries++) {
    moved = { ...moved, y: moved.y + LINE };
  }
  return moved;
}

/** Names of things that have room for them in a view, none over another. */
export function labelsOf(
  build: Build,
  scale: MapScale,
  shows: (layer: MapLayer) => boolean,
): Label[] {
  const boxes = [
    ...(shows('solids') ? build.solids.map((solid) => ({ ...solid, box: boxOf(solid) })) : []),
    ...(shows('spaces') ? build.spaces.map((space) => ({ ...space, box: boxOf(space) })) : []),
    ...(shows('movingZones')
      ? build.movingZones.flatMap((zone) =>
          zone.room.shape === 'box' ? [{ ...zone, box: boxOf(zone.room) }] : [],
        )
      : []),
  ];
  const labels: Label[] = [];
  for (const { id, name, box } of boxes) {
    const rect = rectOf(scale, box);
    if (rect.width < LETTER * name.length || rect.height < LINE) continue;
    const label = {
      id,
      text: name,
      x: rect.x + rect.width / 2,
      y: Math.max(rect.y, 0) + Math.min(rect.height, rect.y + rect.height) / 2 + 4,
    };
    if (!labels.some((other) => overlap(other, label))) labels.push(label);
  }
  return labels;
}

/** The names of what has room for one. */
export function ThingNames(props: {
  build: Build;
  scale: MapScale;
  shows: (layer: MapLayer) => boolean;
}) {
  return labelsOf(props.build, props.scale, props.shows).map(({ id, text, x, y }) => (
    <text
      key={id}
      x={x}
      y={y}
      textAnchor="middle"
      className="pointer-events-none text-[11px]"
      fill="var(--second)"
      {...HALO}
      strokeWidth={3}
    >
      {text}
    </text>
  ));
}
