import {
  type Of,
  choice,
  constant,
  idOf,
  kinds,
  nullable,
  object,
  orderField,
  quantityField,
  record,
  text,
  whole,
} from '../../model/spec.ts';

const sensor = idOf('devices', 'sensor', { label: 'Measured by' });
const temperature = (label: string) =>
  quantityField('temperature', '°C', {
    label,
    min: 233.15,
    max: 473.15,
    message: 'a switching temperature is from −40 to 200 °C',
  });
const pressure = (label: string) =>
  quantityField('pressure', 'kPa', {
    label,
    min: 0,
    max: 3e7,
    message: 'a switching pressure is from 0 to 300 bar',
  });
const is = choice(['on', 'off'], { label: 'Is', initial: 'on' });

/** What has to be so for a switch to be on. One that goes on above or below has two values: it waits between them. */
export const conditionSpec = kinds('kind', {
  /** the key stands there; run counts while cranking too */
  key: object({
    kind: constant('key'),
    order: orderField,
    position: choice(['acc', 'run', 'crank'], { label: 'Key in', initial: 'run' }),
  }),
  engine: object({
    kind: constant('engine'),
    order: orderField,
    state: choice(['turning', 'standing'], { label: 'Engine', initial: 'turning' }),
  }),
  temperature: object({
    kind: constant('temperature'),
    order: orderField,
    deviceId: sensor,
    on: temperature('On at'),
    off: temperature('Off at'),
  }),
  pressure: object({
    kind: constant('pressure'),
    order: orderField,
    deviceId: sensor,
    on: pressure('On at'),
    off: pressure('Off at'),
  }),
  /** a switch, or a button of a keypad */
  input: object({
    kind: constant('input'),
    order: orderField,
    deviceId: idOf('devices', 'switch', { label: 'Switch or keypad' }),
    button: nullable(whole({ label: 'Button', min: 1, max: 40 })),
    is,
  }),
  signal: object({
    kind: constant('signal'),
    order: orderField,
    signalId: idOf('vehicleSignals', 'vehicle signal', { label: 'Wire found' }),
    is,
  }),
});
export type StoredCondition = Of<typeof conditionSpec>;

/** Conditions that all have to be so. */
export const switchingWaySpec = object({
  order: orderField,
  conditions: record(conditionSpec, { max: 8 }),
});

const seconds = (label: string, help: string, max: number) =>
  quantityField('time', 's', {
    label,
    help,
    min: 0,
    max,
    message: `this time is from 0 to ${String(max)} s`,
  });

/** When what a relay or an output of a controller switches is on: one of its ways is enough. */
export const switchRowSpec = object({
  order: orderField,
  /** the relay, or the controller of the output */
  partId: text({ min: 1, max: 60 }),
  /** the output; empty for a relay */
  pin: text({ label: 'Output', min: 0, max: 20 }),
  ways: record(switchingWaySpec, { max: 6 }),
  prime: seconds('Prime', 'on for so long when the key is turned on', 30),
  afterRun: seconds('After-run', 'goes on for so long when it would go off', 1800),
});
export type StoredSwitchRow = Of<typeof switchRowSpec>;

export const switchingSpec = record(switchRowSpec, { max: 120, initial: {} });
