import {
  type Of,
  choice,
  nullable,
  object,
  quantityOrNone,
  record,
  text,
  yesNo,
} from '../../model/spec.ts';
import { coordinates } from './coordinates.ts';
import { fixingSpec } from './fixings.ts';

export const zones = ['cabin', 'body', 'engine-bay', 'near-exhaust', 'outside'] as const;
/** A zone of the vehicle, by its heat. */
export type Zone = (typeof zones)[number];

/** A place on the vehicle where something sits. */
export const placementSpec = object({
  name: text({ label: 'Name', min: 1, max: 80 }),
  ...coordinates,
  zone: choice(zones, { label: 'Zone' }),
  movesWithEngine: yesNo({ label: 'Moves with the engine', since: 6, initial: false }),
  heading: quantityOrNone('angle', '°', {
    label: 'Its front looks',
    help: '0 forward, 90 to the left, 180 back; empty: a part looks forward, of a bare seat nobody says',
    since: 7,
    min: -2 * Math.PI,
    max: 2 * Math.PI,
    message: 'a heading must be from −360 to 360°',
  }),
  pitch: quantityOrNone('angle', '°', {
    label: 'Nose up by',
    help: 'its front raised; empty: level, of a bare seat nobody says',
    since: 7,
    min: -Math.PI / 2,
    max: Math.PI / 2,
    message: 'a pitch must be from −90 to 90°',
  }),
  fixing: nullable(fixingSpec, { help: 'null: nothing holds it yet', since: 7 }),
});
export const placementsSpec = record(placementSpec, { min: 1, max: 2000 });
/** A place whose part looks forward and that nothing is fastened at yet. */
export const BARE_PLACE = { heading: null, pitch: null, fixing: null } as const;
export type StoredPlacement = Of<typeof placementSpec>;
