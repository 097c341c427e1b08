import { type Of, choice, object, orderField, quantityField, record } from '../../model/spec.ts';
import { coordinates } from './coordinates.ts';

export const bodyKinds = [
  'van',
  'car',
  'pick-up',
  'open-frame',
  'single-seater',
  'three-wheeler',
  'boat-tail',
] as const;
/** What kind of body a vehicle has; its outline is generated from it. */
export type BodyKind = (typeof bodyKinds)[number];

const dimension = (label: string, help: string, min: number, max: number) =>
  quantityField('length', 'mm', {
    label,
    help,
    min,
    max,
    message: `${label.toLowerCase()} must be from ${min * 1e3} to ${max * 1e3} mm`,
  });

/** The vehicle as a whole. Its outline is generated from these, and corrected point by point. */
export const vehicleSpec = object({
  kind: choice(bodyKinds, { label: 'Body', since: 6, initial: 'car' }),
  wheelbase: dimension('Wheelbase', 'from axle to axle', 0.5, 12),
  frontOverhang: dimension('Front overhang', 'forward of the front axle', 0, 4),
  rearOverhang: dimension('Rear overhang', 'behind the rear axle', 0, 6),
  width: dimension('Width', 'over everything', 0.4, 3),
  height: dimension('Height', 'above the ground', 0.4, 4.5),
  track: dimension('Track', 'between the middles of the tyres', 0, 2.6),
  tyre: dimension('Tyre', 'outside diameter', 0.2, 1.6),
  clearance: dimension('Lowest protected member', 'no line may be below it', 0, 1),
  outline: record(object({ order: orderField, x: coordinates.x, z: coordinates.z }), {
    label: 'Outline from the side, as corrected',
    max: 60,
    initial: {},
  }),
});
export type StoredVehicle = Of<typeof vehicleSpec>;
