import type { Vector } from '@brookrain/core';
import { useDrag } from '@use-gesture/react';
import { type KeyboardEvent, type RefObject, useState } from 'react';
import { type MapScale, keyStep, snapped } from './mapScale.ts';

const words = ([x, y, z]: Vector): string =>
  [x, y, z].map((value) => Math.round(value * 1e3)).join(', ');

/** A corner or a place on a view: dragged, or stepped by arrow keys. One edit on drop. */
export function PlaceHandle({
  name,
  at,
  scale,
  svg,
  selected,
  select,
  move,
  moving,
}: {
  name: string;
  at: Vector;
  scale: MapScale;
  svg: RefObject<SVGSVGElement | null>;
  selected: boolean;
  select?: () => void;
  move: (to: Vector) => void;
  /** where it is held at the moment; undefined once it is let go */
  moving?: (to: Vector | undefined) => void;
}) {
  const [held, setHeldAt] = useState<Vector>();
  const setHeld = (to: Vector | undefined): void => {
    setHeldAt(to);
    moving?.(to);
  };
  const shown = held ?? at;
  const keep = (): void => {
    if (held) move(held);
    setHeld(undefined);
  };
  const under = ([clientX, clientY]: readonly [number, number]): Vector | undefined => {
    const rect = svg.current?.getBoundingClientRect();
    if (!rect) return undefined;
    const x = ((clientX - rect.left) / rect.width) * scale.width;
    const y = ((clientY - rect.top) / rect.height) * scale.height;
    return snapped(scale.moved(at, x, y));
  };
  const bind = useDrag(
    ({ xy, first, last, canceled, tap }) => {
      if (first) select?.();
      if (canceled || tap) return setHeld(undefined);
      const to = under(xy);
      if (last) {
        if (to) move(to);
        setHeld(undefined);
      } else setHeld(to);
    },
    { filterTaps: true, pointer: { keys: false } },
  );
  const onKey = (event: KeyboardEvent): void => {
    const by = keyStep(scale.view, event.key, event.shiftKey);
    if (!by) return;
    event.preventDefault();
    setHeld(snapped([shown[0] + by[0], shown[1] + by[1], shown[2] + by[2]]));
  };
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={`${name}, ${words(shown)} mm, ${scale.view} view`}
      aria-pressed={selected}
      className="cursor-grab touch-none"
      {...bind()}
      onFocus={select}
      onKeyDown={onKey}
      onKeyUp={(event) => keyStep(scale.view, event.key, false) && keep()}
      onBlur={keep}
    >
      <circle cx={scale.x(shown)} cy={scale.y(shown)} r="14" fill="transparent" />
      <rect
        x={scale.x(shown) - 4.5}
        y={scale.y(shown) - 4.5}
        width="9"
        height="9"
        fill={selected ? 'var(--moss)' : 'var(--paper)'}
        stroke="var(--moss)"
        strokeWidth="1.5"
      />
    </g>
  );
}
