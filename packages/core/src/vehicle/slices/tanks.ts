import { type Of, idOf, object, quantityOrNone, record } from '../../model/spec.ts';

/** Which solid thing on the map a tank of a fuel circuit is, and what keeps fuel at its pickup. */
export const tankOnMapSpec = object({
  circuitId: idOf('fuelCircuits', 'fuel circuit'),
  elementId: idOf('elements', 'tank', { within: 'circuitId' }),
  solidId: idOf('solids', 'solid thing'),
  swirl: quantityOrNone('volume', 'L', {
    label: 'Swirl pot or baffled volume',
    help: 'fuel that stays at the pickup while the rest runs away; empty: none',
    min: 0,
    above: true,
    max: 0.05,
    message: 'a swirl pot holds above 0 and up to 50 L',
  }),
});
export const tanksOnMapSpec = record(tankOnMapSpec, { max: 20, initial: {} });
export type StoredTankOnMap = Of<typeof tankOnMapSpec>;
