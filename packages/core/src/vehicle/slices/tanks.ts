import {
  type Of,
  choice,
  idOf,
  object,
  quantityField,
  quantityOrNone,
  record,
  yesNo,
} from '../../model/spec.ts';
import { quantity } from '../../quantities/index.ts';

export const pickups = ['bottom-outlet', 'draw-tube', 'hanger', 'sump'] as const;
export const senders = ['none', 'float', 'capacitive'] as const;
export const fillers = ['none', 'cap', 'neck'] as const;
export const bungs = ['as-found', 'threaded', 'welded', 'flange'] as const;
const since = 7;

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
  pickup: choice(pickups, { label: 'Fuel is drawn', since, initial: 'bottom-outlet' }),
  pickupHeight: quantityField('length', 'mm', {
    label: 'Pickup above the bottom',
    help: 'what stands lower than this is never drawn',
    since,
    min: 0,
    max: 1,
    message: 'a pickup stands 0 to 1 000 mm above the bottom of its tank',
    initial: quantity(10, 'length', 'mm'),
  }),
  sock: yesNo({ label: 'Sock on the pickup', since, initial: false }),
  baffle: yesNo({ label: 'Baffles', since, initial: false }),
  rollOver: yesNo({ label: 'Vent closes when it rolls over', since, initial: false }),
  sender: choice(senders, { label: 'Level sender', since, initial: 'none' }),
  filler: choice(fillers, { label: 'Filler', since, initial: 'cap' }),
  drain: yesNo({ label: 'Drain at the lowest place', since, initial: false }),
  bung: choice(bungs, { label: 'Outlet fitted with', since, initial: 'as-found' }),
});
/** A tank of which nothing more is known than that it is there. */
export const TANK_AS_FOUND = {
  swirl: null,
  pickup: 'bottom-outlet',
  pickupHeight: quantity(10, 'length', 'mm'),
  sock: false,
  baffle: false,
  rollOver: false,
  sender: 'none',
  filler: 'cap',
  drain: false,
  bung: 'as-found',
} as const;
export const tanksOnMapSpec = record(tankOnMapSpec, { max: 20, initial: {} });
export type StoredTankOnMap = Of<typeof tankOnMapSpec>;
