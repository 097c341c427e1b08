import {
  type Of,
  idOf,
  constant,
  kinds,
  object,
  orderField,
  quantityField,
  record,
  yesNo,
} from '../../model/spec.ts';
import { clampSpec, coverSpec } from './covers.ts';
import { coordinates } from './coordinates.ts';

/** What a route leads. */
export const routeOfSpec = kinds('kind', {
  line: object({
    kind: constant('line'),
    circuitId: idOf('fuelCircuits', 'fuel circuit'),
    elementId: idOf('elements', 'line', { within: 'circuitId' }),
  }),
  other: object({
    kind: constant('other'),
    otherLineId: idOf('otherLines', 'other line'),
  }),
});
export type RouteOf = Of<typeof routeOfSpec>;

/**
 * Where a line runs: corners between the places of its two ends, each with the radius of its bend,
 * of the centreline.
 */
export const routeSpec = object({
  of: routeOfSpec,
  flexible: yesNo({
    label: 'Has a flexible section beside the engine',
    help: 'what crosses from the engine to the vehicle takes up its movement',
    initial: false,
  }),
  covers: record(coverSpec, { max: 20, since: 7, initial: {} }),
  clamps: record(clampSpec, {
    label: 'Clamps that are placed',
    help: 'empty: as many as the rule asks, evenly',
    since: 7,
    max: 200,
    initial: {},
  }),
  points: record(
    object({
      order: orderField,
      ...coordinates,
      radius: quantityField('length', 'mm', {
        label: 'Bend radius',
        min: 0,
        max: 5,
        message: 'a bend radius must be from 0 to 5 000 mm',
      }),
    }),
    { max: 60 },
  ),
});
export const routesSpec = record(routeSpec, { max: 400, initial: {} });
export type StoredRoute = Of<typeof routeSpec>;
