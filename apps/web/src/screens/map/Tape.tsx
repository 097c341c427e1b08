import { type Vector, formatMeasure } from '@brookrain/core';
import type { RefObject } from 'react';
import { useUnits } from '../../ui/preferences.ts';
import { PlaceHandle } from './PlaceHandle.tsx';
import { HALO } from './ThingShapes.tsx';
import type { MapScale } from './mapScale.ts';

/** The two ends of the measuring tape. */
export type TapeEnds = readonly [Vector, Vector];

export const tapeLength = ([a, b]: TapeEnds): number =>
  Math.hypot(b[0] - a[0], b[1] - a[1], b[2] - a[2]);

/** So near on the drawing an end of the tape takes the place that is there. */
const CATCH = 9;

/** The place of several that is drawn nearest to a place, where that is near enough. */
export function caught(at: Vector, places: readonly Vector[], { x, y }: MapScale): Vector {
  let best = at;
  let least = CATCH;
  for (const place of places) {
    const distance = Math.hypot(x(place) - x(at), y(place) - y(at));
    if (distance < least) {
      best = place;
      least = distance;
    }
  }
  return best;
}

/** A tape between two points of the map: dragged at its ends, or stepped by keys. */
export function Tape({
  ends,
  move,
  scale,
  svg,
  snapTo,
}: {
  ends: TapeEnds;
  move: (ends: TapeEnds) => void;
  scale: MapScale;
  svg: RefObject<SVGSVGElement | null>;
  snapTo: readonly Vector[];
}) {
  const [units] = useUnits();
  const [a, b] = ends;
  const { x, y } = scale;
  return (
    <g>
      <line
        x1={x(a)}
        y1={y(a)}
        x2={x(b)}
        y2={y(b)}
        stroke="var(--ink)"
        strokeWidth="2"
        strokeDasharray="2 3"
      />
      <text
        x={(x(a) + x(b)) / 2}
        y={(y(a) + y(b)) / 2 - 8}
        textAnchor="middle"
        className="font-medium"
        {...HALO}
      >
        {formatMeasure({ value: tapeLength(ends), kind: 'length' }, units, 4)}
      </text>
      <PlaceHandle
        name="Beginning of the tape"
        at={a}
        scale={scale}
        svg={svg}
        selected={false}
        move={(to) => move([caught(to, snapTo, scale), b])}
      />
      <PlaceHandle
        name="End of the tape"
        at={b}
        scale={scale}
        svg={svg}
        selected={false}
        move={(to) => move([a, caught(to, snapTo, scale)])}
      />
    </g>
  );
}
