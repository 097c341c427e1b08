import {
  type Of,
  choice,
  idOf,
  object,
  orderField,
  quantityField,
  quantityOrNone,
  record,
  text,
  yesNo,
} from '../model/spec.ts';

export const zones = ['cabin', 'body', 'engine-bay', 'near-exhaust', 'outside'] as const;
/** A zone of the vehicle, by its heat. */
export type Zone = (typeof zones)[number];

const position = { min: -30, max: 30, message: 'a place must be within 30 m' };

const coordinates = {
  x: quantityField('length', 'mm', { label: 'Forward of the rear axle', ...position }),
  y: quantityField('length', 'mm', { label: 'Left of the middle', ...position }),
  z: quantityField('length', 'mm', { label: 'Above the ground', ...position }),
};

/** A place on the vehicle: x forward of the rear axle, y left, z up from the ground. */
export const placementSpec = object({
  name: text({ label: 'Name', min: 1, max: 80 }),
  ...coordinates,
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

export const hotParts = ['pipe', 'turbine'] as const;
/** What a hot run is part of: housings of turbines ask twice the room. */
export type HotPart = (typeof hotParts)[number];

/** An exhaust or another hot pipe: its centreline, how thick it is and how hot outside. */
export const hotRunSpec = object({
  name: text({ label: 'Name', min: 1, max: 80 }),
  part: choice(hotParts, { label: 'Part', initial: 'pipe' }),
  diameter: quantityField('length', 'mm', {
    label: 'Outside diameter',
    min: 0,
    above: true,
    max: 1,
    message: 'a pipe must be above 0 and up to 1 000 mm thick',
  }),
  temperature: quantityField('temperature', '°C', {
    label: 'Hottest surface',
    help: 'with its wrap, if it has one',
    min: 273.15,
    max: 1473.15,
    message: 'a surface temperature must be from 0 to 1 200 °C',
  }),
  points: record(object({ order: orderField, ...coordinates }), { min: 2, max: 60 }),
});
export const hotRunsSpec = record(hotRunSpec, { max: 60, initial: {} });
export type StoredHotRun = Of<typeof hotRunSpec>;

/**
 * Where a fuel line runs: corners between the places of its two ends, each with the radius of its
 * bend, of the centreline.
 */
export const routeSpec = object({
  circuitId: idOf('fuelCircuits', 'fuel circuit'),
  elementId: idOf('elements', 'line', { within: 'circuitId' }),
  sleeve: yesNo({ label: 'Heat sleeve', initial: false }),
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
export const routesSpec = record(routeSpec, { max: 200, initial: {} });
export type StoredRoute = Of<typeof routeSpec>;
