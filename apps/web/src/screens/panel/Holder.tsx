import { type PanelPlace, holesOf } from '@brookrain/core';
import { useDrag } from '@use-gesture/react';
import { type KeyboardEvent, type RefObject, useState } from 'react';

/** A place on the plate from its lower left, m. */
export interface OnPlate {
  readonly x: number;
  readonly y: number;
}

/** Places are whole millimetres. */
const snapped = ({ x, y }: OnPlate): OnPlate => ({
  x: Math.round(x * 1e3) / 1e3,
  y: Math.round(y * 1e3) / 1e3,
});
const mm = (metres: number): number => Math.round(metres * 1e4) / 10;

const steps: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};

/** A holder on the plate: dragged, or stepped by arrow keys, with Shift by 10 mm. One edit on drop. */
export function Holder({
  place,
  number,
  width,
  height,
  mirrored,
  clashing,
  selected,
  svg,
  select,
  move,
}: {
  place: PanelPlace;
  number: number;
  /** of the plate, m */
  width: number;
  height: number;
  /** seen from behind */
  mirrored: boolean;
  clashing: boolean;
  selected: boolean;
  svg: RefObject<SVGSVGElement | null>;
  select: () => void;
  move: (to: OnPlate) => void;
}) {
  const [held, setHeld] = useState<OnPlate>();
  const { item } = place;
  const at = held ?? place;
  const side = mirrored ? -1 : 1;
  const keep = (): void => {
    if (held) move(held);
    setHeld(undefined);
  };
  const bind = useDrag(
    ({ movement: [right, down], first, last, canceled, tap }) => {
      if (first) select();
      const rect = svg.current?.getBoundingClientRect();
      const view = svg.current?.viewBox.baseVal;
      if (canceled || tap || !rect || !view) return setHeld(undefined);
      const metres = view.width / 1e3 / rect.width;
      const to = snapped({ x: place.x + side * right * metres, y: place.y - down * metres });
      if (last) {
        move(to);
        setHeld(undefined);
      } else setHeld(to);
    },
    { filterTaps: true, pointer: { keys: false } },
  );
  const onKey = (event: KeyboardEvent): void => {
    const step = steps[event.key];
    if (!step) return;
    event.preventDefault();
    const far = event.shiftKey ? 0.01 : 0.001;
    setHeld(snapped({ x: at.x + side * step[0] * far, y: at.y + step[1] * far }));
  };
  const x = mm(mirrored ? width - at.x : at.x);
  const y = mm(height - at.y);
  const [w, h] = [mm(item.width), mm(item.height)];
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={`${number}, ${item.name}, ${mm(at.x)} from the left, ${mm(at.y)} from below, mm${clashing ? ', overlapping another' : ''}`}
      aria-pressed={selected}
      className="cursor-grab touch-none"
      {...bind()}
      onFocus={select}
      onKeyDown={onKey}
      onKeyUp={(event) => event.key in steps && keep()}
      onBlur={keep}
    >
      <rect
        x={x - w / 2}
        y={y - h / 2}
        width={w}
        height={h}
        fill={selected ? 'var(--wash)' : 'var(--panel)'}
        stroke={clashing ? 'var(--signal)' : selected ? 'var(--moss)' : 'var(--edge)'}
        strokeWidth={clashing || selected ? 1.2 : 0.6}
      />
      {holesOf({ ...place, ...at }).map((hole) => (
        <circle
          key={hole.y}
          cx={x}
          cy={mm(height - hole.y)}
          r={mm(hole.diameter) / 2}
          fill="var(--paper)"
          stroke="var(--second)"
          strokeWidth="0.4"
        />
      ))}
      <text
        // Beside the hole where there is one in the middle.
        x={item.spacing === 0 ? x - w / 3 : x}
        y={y + 3}
        textAnchor="middle"
        fill="var(--ink)"
        style={{ fontSize: 9, fontWeight: 500 }}
      >
        {number}
      </text>
    </g>
  );
}
