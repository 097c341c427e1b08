import {
  type Of,
  choice,
  idOf,
  itemRef,
  nullable,
  object,
  orderField,
  quantityField,
  quantityOrNone,
  record,
  text,
} from '../../model/spec.ts';
import { quantity } from '../../quantities/index.ts';

/** Which way a leg leaves the trunk, seen from its plug: on along it, square to it, or back. */
export const legDirections = ['on', 'square', 'back'] as const;
export type LegDirection = (typeof legDirections)[number];

const none = quantity(0, 'length', 'mm');

/** A leg of a harness that is bought ready: how long it is, and where it leaves the trunk. */
export const boughtLegSpec = object({
  order: orderField,
  name: text({ label: 'Name', min: 1, max: 80 }),
  placementId: idOf('placements', 'place', { label: 'Goes to' }),
  length: quantityField('length', 'mm', {
    label: 'Length from the plug',
    min: 0.01,
    max: 20,
    message: 'a leg is from 10 mm to 20 m long',
  }),
  leavesAt: quantityField('length', 'mm', {
    label: 'Leaves the trunk at',
    help: 'from the plug; 0: at the plug',
    min: 0,
    max: 20,
    message: 'a leg leaves from 0 to 20 m from the plug',
    initial: none,
  }),
  leaves: choice(legDirections, {
    label: 'Leaves',
    help: 'seen from the plug: on along the trunk, square to it, or back',
    initial: 'square',
  }),
  changed: quantityField('length', 'mm', {
    label: 'Made longer by',
    help: 'below 0: shortened',
    min: -20,
    max: 20,
    message: 'a leg is changed by up to 20 m',
    initial: none,
  }),
  size: nullable(itemRef('wire'), { help: 'null: sized as a wire of its own would be' }),
});
export type StoredBoughtLeg = Of<typeof boughtLegSpec>;

/** A harness that is bought ready, or kept as it is: fixed legs from one plug. */
export const boughtHarnessSpec = object({
  order: orderField,
  name: text({ label: 'Name', min: 1, max: 80 }),
  placementId: idOf('placements', 'place', { label: 'Its connector is at' }),
  price: quantityOrNone('count', '', {
    label: 'Price',
    min: 0,
    max: 1e5,
    message: 'a price is from 0 to 100 000',
  }),
  legs: record(boughtLegSpec, { max: 120, initial: {} }),
});
export type StoredBoughtHarness = Of<typeof boughtHarnessSpec>;

export const boughtSpec = record(boughtHarnessSpec, { max: 12, since: 16, initial: {} });
