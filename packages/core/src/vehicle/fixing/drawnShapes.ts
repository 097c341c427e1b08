import { entryAt } from '../../numerics/index.ts';

/**
 * What a stroke of a drawing is: metal to cut, a fold, a hole, the part, a measure; of a board the
 * middle of a bundle, its sides, a nail, a plug.
 */
export type DrawnLayer =
  'cut' | 'bend' | 'hole' | 'part' | 'measure' | 'loom' | 'side' | 'nail' | 'plug';
/** A place on the sheet, mm, right and up. */
export type DrawnPlace = readonly [x: number, y: number];

/** One thing of a drawing, in mm. */
export type DrawnShape =
  | {
      readonly kind: 'line';
      readonly layer: DrawnLayer;
      readonly from: DrawnPlace;
      readonly to: DrawnPlace;
    }
  | {
      readonly kind: 'circle';
      readonly layer: DrawnLayer;
      readonly centre: DrawnPlace;
      readonly radius: number;
    }
  | {
      readonly kind: 'text';
      readonly layer: DrawnLayer;
      readonly at: DrawnPlace;
      readonly text: string;
      /** turned to read from the right */
      readonly upright: boolean;
    };

/** A straight stroke. */
export const drawnLine = (layer: DrawnLayer, from: DrawnPlace, to: DrawnPlace): DrawnShape => ({
  kind: 'line',
  layer,
  from,
  to,
});

/** A closed polygon. */
export const drawnPolygon = (layer: DrawnLayer, corners: readonly DrawnPlace[]): DrawnShape[] =>
  corners.map((from, i) => drawnLine(layer, from, entryAt(corners, (i + 1) % corners.length)));

/** A box from its lower left, as wide and high as said. */
export const drawnBox = (layer: DrawnLayer, [x, y]: DrawnPlace, [w, h]: DrawnPlace): DrawnShape[] =>
  drawnPolygon(layer, [
    [x, y],
    [x + w, y],
    [x + w, y + h],
    [x, y + h],
  ]);

/** A text, its middle at a place. */
export const drawnWords = (at: DrawnPlace, text: string, upright = false): DrawnShape => ({
  kind: 'text',
  layer: 'measure',
  at,
  text,
  upright,
});
