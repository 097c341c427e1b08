import { quantity as q } from '../quantities/index.ts';
import {
  type Fields,
  type Of,
  choice,
  idOf,
  itemRef,
  nullable,
  object,
  quantityField,
  record,
} from '../model/spec.ts';
import { lengthSpec } from '../vehicle/model.ts';
import { connectionSpec } from './slices/connections.ts';

/** What a person decided about a derived wire; the key is the wire's id. */
export const wireDecisionSpec = object({
  size: nullable(itemRef('wire')),
  length: lengthSpec,
});
export type StoredWireDecision = Of<typeof wireDecisionSpec>;

/** Battery, main fuse, stud and ECU. */
export const powerSpec = object({
  wireSystem: choice(['metric', 'awg'], { label: 'Wire sizes', initial: 'metric' }),
  battery: itemRef('battery'),
  batteryPlacementId: idOf('placements', 'place'),
  mainFuse: itemRef('fuse'),
  mainFusePlacementId: idOf('placements', 'place'),
  studPlacementId: idOf('placements', 'place'),
  ecu: itemRef('ecu'),
  ecuPlacementId: idOf('placements', 'place'),
  keyedFeedPlacementId: idOf('placements', 'place'),
  /** supplies and grounds of the ECU by its pins; without any it is taken to have them */
  ecuConnections: record(connectionSpec, { max: 200, key: 20, initial: {} }),
  /** ground that the battery's negative cable goes to; null: not planned */
  negativeGroundId: nullable(idOf('grounds', 'ground'), { label: 'Negative cable to' }),
  wireDecisions: record(wireDecisionSpec, { max: 2000, key: 120, initial: {} }),
});
export type StoredPower = Of<typeof powerSpec>;

const volts = { min: 5, max: 20, message: 'voltage must be from 5 to 20 V' };

/** System voltages and what a feed may lose. */
export const electricsLimits = {
  voltageRunning: quantityField('voltage', 'V', {
    label: 'Voltage, running',
    ...volts,
    initial: q(13.8, 'voltage', 'V'),
  }),
  voltageLow: quantityField('voltage', 'V', {
    label: 'Voltage, low',
    ...volts,
    initial: q(12.2, 'voltage', 'V'),
  }),
  voltageCranking: quantityField('voltage', 'V', {
    label: 'Voltage, cranking',
    ...volts,
    initial: q(10.5, 'voltage', 'V'),
  }),
  pumpFeedDrop: quantityField('voltage', 'V', {
    label: 'Drop allowed in wire',
    min: 0.02,
    max: 2,
    message: 'voltage drop must be from 0.02 to 2 V',
    initial: q(0.25, 'voltage', 'V'),
  }),
  alternatorAtIdle: quantityField('ratio', '%', {
    label: 'Alternator output at idle',
    help: 'of what it gives at most',
    since: 12,
    min: 0.05,
    max: 1,
    message: 'the share must be from 5 to 100 %',
    initial: q(45, 'ratio', '%'),
  }),
  alternatorHot: quantityField('ratio', '%', {
    label: 'Alternator output, hot',
    help: 'of what it gives cold',
    since: 12,
    min: 0.05,
    max: 1,
    message: 'the share must be from 5 to 100 %',
    initial: q(85, 'ratio', '%'),
  }),
  batteryUsable: quantityField('ratio', '%', {
    label: 'Battery, usable',
    help: 'of a full charge, until it no longer cranks',
    since: 12,
    min: 0.05,
    max: 1,
    message: 'the share must be from 5 to 100 %',
    initial: q(50, 'ratio', '%'),
  }),
  thermostatOpens: quantityField('temperature', '°C', {
    label: 'Thermostat opens at',
    since: 13,
    min: 313.15,
    max: 393.15,
    message: 'a thermostat opens at 40 to 120 °C',
    initial: q(82, 'temperature', '°C'),
  }),
} satisfies Fields;

export * from './slices/buses.ts';
export * from './slices/connections.ts';
export * from './slices/controllers.ts';
export * from './slices/devices.ts';
export * from './slices/grounds.ts';
export * from './slices/panels.ts';
export * from './slices/switching.ts';
export * from './slices/vehicleSignals.ts';
