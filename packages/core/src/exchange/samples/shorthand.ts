import type { CurvePoint, LengthKnowledge, Placement, Zone } from '../../model/index.ts';
import { quantity } from '../../quantities/index.ts';

export const ref = (id: string) => ({ id, revision: 1 });
export const q = quantity;
export const typed = (metres: number): LengthKnowledge => ({
  typed: q(metres, 'length', 'm'),
  measured: null,
});
export const measured = (metres: number): LengthKnowledge => ({
  typed: null,
  measured: q(metres, 'length', 'm'),
});
export const byMap: LengthKnowledge = { typed: null, measured: null };

/** A place from millimetres: x forward of the rear axle, y left, z up. */
export const place = (
  id: string,
  name: string,
  [x, y, z]: [number, number, number],
  zone: Zone,
): Placement => ({
  id,
  name,
  x: q(x, 'length', 'mm'),
  y: q(y, 'length', 'mm'),
  z: q(z, 'length', 'mm'),
  zone,
});

/** A curve from engine speed and per cent. */
export const points = (rows: [rpm: number, percent: number][]): CurvePoint[] =>
  rows.map(([rpm, percent]) => ({
    speed: q(rpm, 'rotation', 'rpm'),
    value: q(percent, 'ratio', '%'),
  }));

/** Fittings of a line by item id. */
export const ends = (counts: Readonly<Record<string, number>>) =>
  Object.entries(counts).map(([id, count]) => ({ item: ref(id), count }));

/** Corners of a way over the vehicle, in mm: x forward, y left, z up. */
export const corners = (places: readonly (readonly [number, number, number])[]) =>
  places.map(([x, y, z], i) => ({
    id: `p${i + 1}`,
    x: q(x, 'length', 'mm'),
    y: q(y, 'length', 'mm'),
    z: q(z, 'length', 'mm'),
  }));
