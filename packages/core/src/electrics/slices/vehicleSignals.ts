import {
  type Of,
  choice,
  choiceOrNone,
  idOf,
  object,
  orderField,
  quantityOrNone,
  record,
  text,
} from '../../model/spec.ts';

import { wireColours } from './wireColours.ts';

/** What a wire found on the vehicle is for. */
export const signalUses = [
  'ignition feed',
  'constant feed',
  'start request',
  'brake',
  'reverse',
  'neutral',
  'temperature gauge',
  'tachometer',
  'fuel level',
  'air conditioning',
  'immobiliser',
  'diagnosis',
  'lamps',
  'other',
] as const;
export type SignalUse = (typeof signalUses)[number];

/** The positions of the key in which a wire is measured. */
export const keyPositions = ['off', 'acc', 'run', 'crank'] as const;
export type KeyPosition = (typeof keyPositions)[number];

const volts = (label: string) =>
  quantityOrNone('voltage', 'V', {
    label,
    min: 0,
    max: 60,
    message: 'a voltage measured is from 0 to 60 V',
  });

/** A wire found on the vehicle, with what was measured on it in each position of the key. */
export const vehicleSignalSpec = object({
  order: orderField,
  name: text({ label: 'Name', min: 1, max: 80 }),
  use: choice(signalUses, { label: 'For', initial: 'other' }),
  colour: text({ label: 'Colour', min: 0, max: 40, initial: '' }),
  base: choiceOrNone(wireColours, {
    label: 'Base colour',
    help: 'wires that continue from it have its colours',
    since: 16,
  }),
  stripe: choiceOrNone(wireColours, { label: 'Stripe', since: 16 }),
  connector: text({ label: 'Connector', min: 0, max: 40, initial: '' }),
  cavity: text({ label: 'Cavity', min: 0, max: 20, initial: '' }),
  placementId: idOf('placements', 'place', { label: 'Found at' }),
  off: volts('OFF'),
  acc: volts('ACC'),
  run: volts('RUN'),
  crank: volts('CRANK'),
  fuse: quantityOrNone('current', 'A', {
    label: 'Its fuse',
    min: 0.5,
    max: 200,
    message: 'a fuse is from 0.5 to 200 A',
  }),
  sourceResistance: quantityOrNone('resistance', 'mΩ', {
    label: 'Source resistance',
    help: 'from battery to where it was found; empty: 50 mΩ',
    min: 0,
    max: 100,
    message: 'a source resistance is up to 100 Ω',
  }),
});
export type StoredVehicleSignal = Of<typeof vehicleSignalSpec>;

export const vehicleSignalsSpec = record(vehicleSignalSpec, { max: 80, initial: {} });
