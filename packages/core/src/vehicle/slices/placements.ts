import { type Of, choice, object, record, text, yesNo } from '../../model/spec.ts';
import { coordinates } from './coordinates.ts';

export const zones = ['cabin', 'body', 'engine-bay', 'near-exhaust', 'outside'] as const;
/** A zone of the vehicle, by its heat. */
export type Zone = (typeof zones)[number];

/** A place on the vehicle where something sits. */
export const placementSpec = object({
  name: text({ label: 'Name', min: 1, max: 80 }),
  ...coordinates,
  zone: choice(zones, { label: 'Zone' }),
  movesWithEngine: yesNo({ label: 'Moves with the engine', since: 6, initial: false }),
});
export const placementsSpec = record(placementSpec, { min: 1, max: 2000 });
export type StoredPlacement = Of<typeof placementSpec>;
