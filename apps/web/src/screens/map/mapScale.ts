import type { Vector } from '@brookrain/core';

/** The two views of the map: from the right, and from above. */
export type MapView = 'side' | 'plan';

/** What of a place goes across and up in a view. */
const axes: Readonly<Record<MapView, readonly [across: 0 | 1 | 2, up: 0 | 1 | 2]>> = {
  side: [0, 2],
  plan: [0, 1],
};

/** Drawn size of a view and how places come onto it: one scale both ways, forward to the right. */
export interface MapScale {
  readonly view: MapView;
  readonly width: number;
  readonly height: number;
  /** drawn units per m */
  readonly perMetre: number;
  readonly x: (at: Vector) => number;
  readonly y: (at: Vector) => number;
  /** a place moved so that it is drawn at a point; what the view does not show stays */
  readonly moved: (at: Vector, x: number, y: number) => Vector;
}

const MARGIN = 26;
/** Places beyond the outermost, m. */
const ROOM = 0.15;

/** The scale of a view that shows all of some places, as wide as `width`. */
export function mapScale(view: MapView, places: readonly Vector[], width: number): MapScale {
  const [across, up] = axes[view];
  const span = (axis: 0 | 1 | 2): readonly [number, number] => [
    Math.min(...places.map((at) => at[axis])) - ROOM,
    Math.max(...places.map((at) => at[axis])) + ROOM,
  ];
  const [left, right] = span(0);
  const [low, high] = view === 'side' ? [0, span(2)[1]] : span(1);
  const perMetre = (width - 2 * MARGIN) / Math.max(0.5, right - left);
  const height = (high - low) * perMetre + 2 * MARGIN;
  return {
    view,
    width,
    height,
    perMetre,
    x: (at) => MARGIN + (at[across] - left) * perMetre,
    y: (at) => height - MARGIN - (at[up] - low) * perMetre,
    moved: (at, x, y) => {
      const next: [number, number, number] = [at[0], at[1], at[2]];
      next[across] = left + (x - MARGIN) / perMetre;
      next[up] = low + (height - MARGIN - y) / perMetre;
      return next;
    },
  };
}

/** Snapped to whole steps of the tape, m. */
export const snapped = (at: Vector, step = 0.005): Vector => {
  const one = (value: number): number => Number((Math.round(value / step) * step).toFixed(4));
  return [one(at[0]), one(at[1]), one(at[2])];
};

/** Where an arrow key moves a place in a view, m; undefined for other keys. */
export function keyStep(view: MapView, key: string, large: boolean): Vector | undefined {
  const step = large ? 0.05 : 0.005;
  const [across, up] = axes[view];
  const by: [number, number, number] = [0, 0, 0];
  switch (key) {
    case 'ArrowRight':
      by[across] = step;
      return by;
    case 'ArrowLeft':
      by[across] = -step;
      return by;
    case 'ArrowUp':
      by[up] = step;
      return by;
    case 'ArrowDown':
      by[up] = -step;
      return by;
    default:
      return undefined;
  }
}
