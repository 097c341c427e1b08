import { valueUnder } from '../../numerics/index.ts';
import { choice, figure, list, object, text, whole, yesNo } from '../../model/spec.ts';
import { bodyFields, plugFields } from './bodyFields.ts';
import { catalogueKind, column } from './catalogueKind.ts';
import { pinCapabilities } from './pinCapabilities.ts';
import { holder, injectorDrivers, soldIn, terminals } from './sharedFields.ts';

/** A battery: open-circuit voltage V, internal resistance Ω, capacity C. */
export const battery = catalogueKind({
  category: 'battery',
  title: 'Batteries',
  fields: {
    openCircuitVoltage: figure('voltage', 'V', [5, 60], 'Open-circuit voltage'),
    internalResistance: figure('resistance', 'mΩ', [1e-5, 1], 'Internal resistance'),
    capacity: {
      ...figure('charge', 'A·h', [0, 3.6e6], 'Capacity (0: not said)'),
      whenEmpty: 0,
    },
    cutsItselfOff: {
      ...yesNo({ label: 'Its own electronics may cut it off' }),
      whenEmpty: false,
    },
    ...terminals,
    ...bodyFields,
  },
});

/** Band of opening times s at a multiple of the rating. */
export interface FuseBandPoint {
  readonly multiple: number;
  readonly fastest: number;
  readonly slowest: number;
}

/** A fuse: rating A and band of opening times. */
export const fuse = catalogueKind({
  category: 'fuse',
  title: 'Fuses',
  fields: {
    style: choice(['blade', 'bolt'], { label: 'Style' }),
    rating: figure('current', 'A', [0.1, 1000], 'Rating'),
    ...terminals,
    ...holder(0.022, 0.046, 0.0045, 0.036),
    band: list(
      object({
        multiple: figure('count', '', [1, 100], 'Multiple'),
        fastest: figure('time', 's', [1e-6, 1e9], 'Fastest'),
        // 100 h and more: it may never open.
        slowest: figure('time', 's', [1e-6, 1e9], 'Slowest'),
      }),
      { max: 40, rising: 'multiple' },
    ),
  },
  table: {
    key: 'band',
    fields: ['band'],
    label: 'Opening time over multiple of the rating',
    columns: [
      column('multiple', 'Multiple', 'count', ''),
      column('fastest', 'Fastest', 'time', 's'),
      column('slowest', 'Slowest', 'time', 's'),
    ],
    rowsOf: (item) =>
      item.band.map(({ multiple, fastest, slowest }) => ({ multiple, fastest, slowest })),
    fieldsOf: (rows) => ({
      band: rows
        .map((r) => ({
          multiple: valueUnder(r, 'multiple'),
          fastest: valueUnder(r, 'fastest'),
          slowest: valueUnder(r, 'slowest'),
        }))
        .sort((a, b) => a.multiple - b.multiple),
    }),
  },
});

/** A relay: what its contact is rated for, A, and for motors; contact and coil resistance Ω. */
export const relay = catalogueKind({
  category: 'relay',
  title: 'Relays',
  fields: {
    contactRating: figure('current', 'A', [0.1, 1000], 'Contact rating'),
    motorRating: {
      ...figure('current', 'A', [0, 1000], 'Contact rating for motors (0: not said)'),
      whenEmpty: 0,
    },
    contactResistance: figure('resistance', 'mΩ', [0, 1], 'Contact resistance'),
    coilResistance: figure('resistance', 'Ω', [1, 10000], 'Coil resistance'),
    ...terminals,
    ...holder(0.034, 0.046, 0.0055, 0.036),
  },
});

/** A wire size: conductor area m², outside diameter m, Ω/m at 20 °C. */
export const wire = catalogueKind({
  category: 'wire',
  title: 'Wire',
  fields: {
    system: choice(['metric', 'awg'], { label: 'Size system' }),
    size: text({ label: 'Size', min: 1, max: 20 }),
    area: figure('area', 'mm²', [1e-8, 1e-3], 'Conductor'),
    outsideDiameter: figure('length', 'mm', [1e-4, 0.1], 'Outside diameter'),
    resistancePerMetre: figure('resistancePerLength', 'mΩ/m', [1e-6, 10], 'Resistance at 20 °C'),
    insulationClass: figure('temperature', '°C', [320, 600], 'Insulation class'),
    insulation: choice(['cross-linked', 'pvc'], { label: 'Insulation' }),
    ...soldIn,
  },
});

/**
 * A pin of a controller: what it can do, and its limits; 0 A and 0 Hz where nothing is said.
 * Pins with the same timer share a frequency.
 */
export const controllerPinSpec = object({
  id: text({ label: 'Pin', min: 1, max: 20 }),
  name: text({ label: 'Name', min: 1, max: 60 }),
  plug: text({ label: 'Plug', min: 1, max: 20 }),
  row: whole({ label: 'Row', min: 1, max: 12 }),
  column: whole({ label: 'Column', min: 1, max: 60 }),
  /** its place among the pins of its kind: output 1, output 2 … */
  number: whole({ label: 'Number', min: 1, max: 200 }),
  capabilities: list(choice(pinCapabilities), { min: 1, max: 8 }),
  current: figure('current', 'A', [0, 1000], 'Carries'),
  frequency: figure('frequency', 'Hz', [0, 1e6], 'Up to'),
  timer: text({ label: 'Timer', min: 0, max: 20 }),
  pairedWith: text({ label: 'Pair with', min: 0, max: 20 }),
  pullUp: figure('resistance', 'Ω', [0, 1e6], 'Pull-up'),
});

/** A controller: engine ECU, power module, input unit, gearbox unit, logger. */
export const ecu = catalogueKind({
  category: 'ecu',
  title: 'Controllers',
  fields: {
    pumpPin: text({ label: 'Pump pin', min: 1, max: 20 }),
    pumpPinSide: choice(['low-side', 'high-side'], { label: 'Pump pin switches' }),
    pumpPinCurrent: figure('current', 'A', [0, 40], 'Pump pin carries'),
    injectorDriver: choice(injectorDrivers, { label: 'Injector drivers' }),
    injectorOutputs: whole({ label: 'Injector outputs', min: 0, max: 32 }),
    ...terminals,
    ...bodyFields,
    ...plugFields,
    referenceTotal: {
      ...figure('current', 'A', [0, 10], '5 V, all together (0: not said)'),
      whenEmpty: 0,
    },
    highSideTotal: {
      ...figure('current', 'A', [0, 1000], 'High side, all together (0: not said)'),
      whenEmpty: 0,
    },
    standbyCurrent: {
      ...figure('current', 'mA', [0, 1], 'Takes with the key off'),
      whenEmpty: 0,
    },
    sequence: {
      ...choice(['cylinder', 'firing order'], { label: 'Output n is for the n-th by' }),
      whenEmpty: 'cylinder' as const,
    },
    pins: list(controllerPinSpec, { max: 200, whenEmpty: [] }),
  },
  rows: 'pins',
});
