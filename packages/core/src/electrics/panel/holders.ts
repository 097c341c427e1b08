import type { PanelPlace } from './panelLayout.ts';

/** A hole in a plate, m. */
export interface PanelHole {
  readonly x: number;
  readonly y: number;
  readonly diameter: number;
}
export type PanelHoles = readonly PanelHole[];

/** An outline that stands straight, m. */
export interface PanelRect {
  readonly left: number;
  readonly right: number;
  readonly bottom: number;
  readonly top: number;
}

/** Whether two outlines share more than an edge. */
export const overlap = (a: PanelRect, b: PanelRect): boolean =>
  a.left < b.right - 1e-9 &&
  b.left < a.right - 1e-9 &&
  a.bottom < b.top - 1e-9 &&
  b.bottom < a.top - 1e-9;

/** The holes that a holder asks of its plate. */
export function holesOf({ item, x, y }: PanelPlace): PanelHole[] {
  const { hole: diameter, spacing } = item;
  if (diameter === 0) return [];
  return spacing === 0
    ? [{ x, y, diameter }]
    : [y + spacing / 2, y - spacing / 2].map((at) => ({ x, y: at, diameter }));
}
