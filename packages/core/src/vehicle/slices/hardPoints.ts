import { type Of, idOf, object, quantityField, record, text } from '../../model/spec.ts';
import { coordinates } from './coordinates.ts';

/** Where a place really is, measured with a tape. */
export const hardPointSpec = object({
  placementId: idOf('placements', 'place', { label: 'Place' }),
  ...coordinates,
  uncertainty: quantityField('length', 'mm', {
    label: 'Known to ±',
    min: 0,
    above: true,
    max: 0.5,
    message: 'a tape reading is good to above 0 and up to 500 mm',
  }),
  from: text({ label: 'Measured from', min: 0, max: 200, initial: '' }),
});
export const hardPointsSpec = record(hardPointSpec, { max: 400, initial: {} });
export type StoredHardPoint = Of<typeof hardPointSpec>;
