import {
  type DrawnShape,
  type FixingDrawing,
  drawnBox as box,
  drawnLine as line,
  drawnWords as words,
} from '../../vehicle/index.ts';
import type { PanelLayout } from './panelLayout.ts';

const mm = (metres: number): number => metres * 1e3;
const told = (metres: number): string => `${Math.round(metres * 1e4) / 10}`;
/** Room for measures beside the plate, and length of the line by which a print is checked, mm. */
const ASIDE = 12;
export const CHECK_LINE = 100;

/**
 * The plate as it is drilled, 1:1 in mm: its edge, every hole with its cross, the holders' outlines
 * with the number that the list below it names, width, height and a line to check the print by.
 * From behind everything is the other way round.
 */
export function panelDrawing(
  { width, height, places, holes }: PanelLayout,
  from: 'front' | 'back' = 'front',
): FixingDrawing {
  const across = (x: number): number => mm(from === 'front' ? x : width - x);
  const [w, h] = [mm(width), mm(height)];
  const shapes: DrawnShape[] = [
    ...box('cut', [0, 0], [w, h]),
    ...holes.flatMap(({ x, y, diameter }): DrawnShape[] => {
      const [u, v, r] = [across(x), mm(y), mm(diameter) / 2];
      return [
        { kind: 'circle', layer: 'hole', centre: [u, v], radius: r },
        line('measure', [u - r - 1.5, v], [u + r + 1.5, v]),
        line('measure', [u, v - r - 1.5], [u, v + r + 1.5]),
      ];
    }),
    ...places.flatMap(({ item, x, y }, i): DrawnShape[] => {
      const [u, v] = [across(x), mm(y)];
      const [iw, ih] = [mm(item.width), mm(item.height)];
      return [
        ...box('part', [u - iw / 2, v - ih / 2], [iw, ih]),
        words([u, v - ih / 2 + 1.5], `${i + 1}`),
      ];
    }),
    line('measure', [0, h + 4], [w, h + 4]),
    words([w / 2, h + 5], told(width)),
    line('measure', [-4, 0], [-4, h]),
    words([-5, h / 2], told(height), true),
    line('measure', [0, -6], [CHECK_LINE, -6]),
    line('measure', [0, -8], [0, -4]),
    line('measure', [CHECK_LINE, -8], [CHECK_LINE, -4]),
    words([CHECK_LINE / 2, -5], `${CHECK_LINE} mm`),
  ];
  return {
    shapes,
    low: [-ASIDE, -ASIDE],
    high: [Math.max(w, CHECK_LINE) + 2, h + ASIDE],
    notes: [],
  };
}
