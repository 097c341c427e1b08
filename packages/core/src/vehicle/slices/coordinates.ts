import { object, quantityField } from '../../model/spec.ts';

const position = { min: -30, max: 30, message: 'a place must be within 30 m' };

/** Fields of a place on the vehicle: x forward of the rear axle, y left, z up from the ground. */
export const coordinates = {
  x: quantityField('length', 'mm', { label: 'Forward of the rear axle', ...position }),
  y: quantityField('length', 'mm', { label: 'Left of the middle', ...position }),
  z: quantityField('length', 'mm', { label: 'Above the ground', ...position }),
};

/** A place in something larger. */
export const coordinatesSpec = object(coordinates);
