import {
  type Of,
  choice,
  object,
  orderField,
  quantityField,
  record,
  text,
} from '../../model/spec.ts';
import { coordinates } from './coordinates.ts';

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
