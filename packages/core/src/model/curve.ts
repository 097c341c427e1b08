import { type FieldWords, object, quantityField, record } from './spec.ts';
import type { Quantity } from '../quantities/index.ts';

/** A point of a curve over engine speed. */
export interface CurvePoint {
  readonly speed: Quantity;
  readonly value: Quantity;
}
type Points = Readonly<Record<string, CurvePoint>>;

/** Points in the order of their speeds. */
export const pointsInOrder = (points: Points): CurvePoint[] =>
  Object.values(points).sort((a, b) => a.speed.value - b.speed.value);

/** Whether no two points of a curve stand at one speed. */
export const hasDistinctSpeeds = (points: Points): boolean => {
  const speeds = Object.values(points).map((point) => point.speed.value);
  return new Set(speeds).size === speeds.length;
};

/** A curve over engine speed, of 2 to 24 points by id, each at a speed of its own. */
export const curveSpec = (parts: FieldWords & { min: number; max: number; message: string }) => {
  const { min, max, message, ...words } = parts;
  return record(
    object({
      speed: quantityField('rotation', 'rpm', {
        min: 0,
        max: 500,
        message: 'speed must be between 0 and 30 000 rpm',
      }),
      value: quantityField('ratio', '%', { min, max, message }),
    }),
    { min: 2, max: 24, ...words },
  );
};
