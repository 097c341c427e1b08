import { portCodes } from '../catalogue/kinds/ports.ts';
import {
  type Of,
  choiceOrNone,
  itemRef,
  nullable,
  object,
  orderField,
  quantityField,
  quantityOrNone,
  record,
  whole,
} from '../model/spec.ts';
import { quantity } from '../quantities/index.ts';
import { routeOfSpec } from '../vehicle/model.ts';

/** Slack of a hose where nothing else is said, of its developed length. */
export const USUAL_SLACK = quantity(2, 'ratio', '%');

/** One end of a line: what holds the hose, what it screws onto, and what goes between. */
export const assemblyEndSpec = object({
  item: nullable(itemRef('fitting', { label: 'End' }), {
    help: 'null: not chosen, or the hose goes straight onto a barb',
  }),
  onto: choiceOrNone(portCodes, {
    label: 'Screws onto',
    help: 'empty: the port that the part there has by the catalogue',
  }),
  adapters: record(object({ order: orderField, item: itemRef('fitting', { label: 'Adapter' }) }), {
    label: 'Adapters',
    help: 'from the part to the hose',
    max: 4,
    initial: {},
  }),
});
export type StoredAssemblyEnd = Of<typeof assemblyEndSpec>;

/** What a hose was cut to, of what, and which ends are on it: facts. */
export const asMadeSpec = object({
  cut: quantityField('length', 'mm', {
    label: 'Cut to',
    min: 0,
    above: true,
    max: 50,
    message: 'a cut length must be above 0, up to 50 m',
  }),
  clocking: quantityOrNone('angle', '°', {
    label: 'Clocked at',
    min: 0,
    max: 2 * Math.PI,
    message: 'a clocking must be from 0 to 360°',
  }),
  hose: nullable(itemRef('hose'), { label: 'Cut of', help: 'null: not known' }),
  from: nullable(itemRef('fitting'), { label: 'Made with, where it begins', help: 'null: none' }),
  to: nullable(itemRef('fitting'), { label: 'Made with, where it ends', help: 'null: none' }),
});
export type AsMade = Of<typeof asMadeSpec>;

/** A line as it is made: its hose with both ends, and what it was cut to once it is cut. */
export const assemblySpec = object({
  of: routeOfSpec,
  from: assemblyEndSpec,
  to: assemblyEndSpec,
  slack: quantityOrNone('ratio', '%', {
    label: 'Slack',
    help: 'of the developed length; covers what the hose shortens under pressure and the movement of the engine; empty: 2 % for hose, none for hardline',
    min: 0,
    max: 0.2,
    message: 'slack must be from 0 to 20 %',
  }),
  asMade: nullable(asMadeSpec, { help: 'null: not cut yet' }),
});
/** Lines whose ends have to be others with an edit, in the same step. */
export const assembliesAlong = record(assemblySpec, { max: 400 });
export const assembliesSpec = record(assemblySpec, { max: 400, since: 8, initial: {} });
export type StoredAssembly = Of<typeof assemblySpec>;

/** Parts at hand that this build may use, by item. */
export const shelfSpec = record(
  object({
    item: itemRef('*'),
    count: whole({
      label: 'At hand',
      min: 1,
      max: 10000,
      message: 'how many there are must be a whole number from 1 to 10 000',
      initial: 1,
    }),
  }),
  { max: 1000 },
);

/** What is left of hoses and tubes, and may be cut from. */
export const offcutsSpec = record(
  object({
    item: itemRef('hose', { label: 'Hose' }),
    length: quantityField('length', 'mm', {
      label: 'Length',
      min: 0,
      above: true,
      max: 100,
      message: 'the length of an offcut must be above 0, up to 100 m',
    }),
  }),
  { max: 400, since: 8, initial: {} },
);
