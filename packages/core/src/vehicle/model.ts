import {
  type Of,
  choice,
  object,
  quantityField,
  quantityOrNone,
  record,
  text,
} from '../model/spec.ts';

export const zones = ['cabin', 'body', 'engine-bay', 'near-exhaust', 'outside'] as const;
/** A zone of the vehicle, by its heat. */
export type Zone = (typeof zones)[number];

const position = { min: -30, max: 30, message: 'a place must be within 30 m' };

/** A place on the vehicle: x forward of the rear axle, y left, z up from the ground. */
export const placementSpec = object({
  name: text({ label: 'Name', min: 1, max: 80 }),
  x: quantityField('length', 'mm', { label: 'Forward of the rear axle', ...position }),
  y: quantityField('length', 'mm', { label: 'Left of the middle', ...position }),
  z: quantityField('length', 'mm', { label: 'Above the ground', ...position }),
  zone: choice(zones, { label: 'Zone' }),
});
export const placementsSpec = record(placementSpec, { min: 1, max: 2000 });
export type StoredPlacement = Of<typeof placementSpec>;

const length = {
  min: 0,
  above: true,
  max: 50,
  message: 'length must be above zero, up to 50 m',
};

/**
 * What is known of a length. Estimates from the map are computed, the typed and the measured
 * length are stored; the best known one is used.
 */
export const lengthSpec = object({
  typed: quantityOrNone('length', 'm', { label: 'Length, typed', ...length }),
  measured: quantityOrNone('length', 'm', { label: 'Length, measured', ...length }),
});
export type LengthKnowledge = Of<typeof lengthSpec>;
