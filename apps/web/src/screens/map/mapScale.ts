import type { Vector } from '@brookrain/core';

export const mapViews = ['side', 'plan', 'end'] as const;
/** The views of the map: from the right, from above, from behind. */
export type MapView = (typeof mapViews)[number];

type Axis = 0 | 1 | 2;

/** What of a place goes across and up in a view, and whether across runs to the left. */
const axes: Readonly<Record<MapView, readonly [across: Axis, up: Axis, sign: 1 | -1]>> = {
  side: [0, 2, 1],
  plan: [0, 1, 1],
  end: [1, 2, -1],
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

const MARGIN = 22;
/** Room around the outermost places, m. */
const ROOM = 0.12;

/**
 * The scale of a view that shows all of some places. Side and plan are as wide as `width`, so that
 * they stay in step, and together no higher than `both` where that is told; a view from behind has
 * their scale as far as it fits.
 */
export function mapScale(
  view: MapView,
  places: readonly Vector[],
  width: number,
  both = Infinity,
): MapScale {
  const [across, up, sign] = axes[view];
  const span = (axis: Axis): readonly [number, number] => [
    Math.min(...places.map((at) => at[axis])) - ROOM,
    Math.max(...places.map((at) => at[axis])) + ROOM,
  ];
  const [along0, along1] = span(0);
  const [left, right] = span(across);
  const [low, high] = view === 'plan' ? span(1) : [Math.min(0, span(2)[0]), span(2)[1]];
  const heights = span(1)[1] - span(1)[0] + span(2)[1] - Math.min(0, span(2)[0]);
  const inStep = Math.min(
    (width - 2 * MARGIN) / Math.max(0.5, along1 - along0),
    (both - 4 * MARGIN) / Math.max(0.4, heights),
  );
  const perMetre =
    view === 'end' ? Math.min(inStep * 1.5, (width - 2 * MARGIN) / (right - left)) : inStep;
  const drawn = view === 'end' ? (right - left) * perMetre + 2 * MARGIN : width;
  const height = (high - low) * perMetre + 2 * MARGIN;
  const from = sign > 0 ? left : right;
  // What is narrower than its view stands in the middle of it.
  const begin = (drawn - (right - left) * perMetre) / 2;
  return {
    view,
    width: drawn,
    height,
    perMetre,
    x: (at) => begin + sign * (at[across] - from) * perMetre,
    y: (at) => height - MARGIN - (at[up] - low) * perMetre,
    moved: (at, x, y) => {
      const next: [number, number, number] = [at[0], at[1], at[2]];
      next[across] = from + (sign * (x - begin)) / perMetre;
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
  const [across, up, sign] = axes[view];
  const by: [number, number, number] = [0, 0, 0];
  switch (key) {
    case 'ArrowRight':
      by[across] = sign * step;
      return by;
    case 'ArrowLeft':
      by[across] = -sign * step;
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
