import type {
  DeviceItem,
  DevicePin,
  DeviceRole,
  LoadTime,
  PinCapability,
  SeatThread,
} from '../../catalogue/index.ts';
import { body } from './body.ts';

const MM2 = 1e-6;

type PinParts = Partial<DevicePin> & Pick<DevicePin, 'id' | 'use'>;

/** A pin that carries nothing, with what is said of it. */
export const pin = ({ id, use, ...rest }: PinParts): DevicePin => ({
  id,
  use,
  name: id,
  capability: 'none',
  current: 0,
  frequency: 0,
  pairedWith: '',
  through: '',
  behaviour: 'none',
  voltage: 0,
  duty: 1,
  contactResistance: 0,
  when: 'key on',
  ...rest,
});

type Parts = Partial<DeviceItem> & Pick<DeviceItem, 'id' | 'designation' | 'role' | 'pins'>;

/** A device of the shipped catalogue. */
export const device = ({ id, designation, role, pins, ...rest }: Parts): DeviceItem => ({
  category: 'device',
  id,
  revision: 1,
  designation,
  family: role,
  mass: 0.05,
  price: 20,
  interchange: designation,
  role,
  wireAreaMin: 0.3 * MM2,
  wireAreaMax: 1 * MM2,
  plugFamily: 'S1.5',
  inrushFactor: 1,
  inrushTime: 1e-3,
  sensing: 'none',
  spanLow: 0,
  spanHigh: 0,
  resistanceAt25: 0,
  beta: 0,
  seat: 'none',
  ...body([40, 25, 25]),
  plugSide: 'back',
  plugRoom: 0.04,
  pins,
  ...rest,
});

const SENSOR_CURRENT = 0.008;

/** A resistance that falls with heat, between the sensor ground and an input with a pull-up. */
export const thermistor = (
  id: string,
  designation: string,
  role: DeviceRole,
  seat: SeatThread,
  price = 18,
): DeviceItem =>
  device({
    id,
    designation,
    role,
    seat,
    price,
    sensing: 'temperature',
    resistanceAt25: 2200,
    beta: 3500,
    pins: [
      pin({
        id: '1',
        name: 'Signal',
        use: 'signal',
        capability: 'analogue-pull-up',
        through: '2',
        behaviour: 'resistive',
        current: 0.002,
        voltage: 5,
      }),
      pin({ id: '2', name: 'Sensor ground', use: 'sensor-ground' }),
    ],
  });

/** A sensor of three wires on 5 V. */
export const threeWire = (
  id: string,
  designation: string,
  role: DeviceRole,
  parts: Partial<DeviceItem> & {
    readonly capability?: PinCapability;
    readonly frequency?: number;
  } = {},
): DeviceItem => {
  const { capability = 'analogue', frequency = 0, ...rest } = parts;
  return device({
    id,
    designation,
    role,
    price: 46,
    pins: [
      pin({
        id: '1',
        name: '5 V',
        use: 'reference-5v',
        current: SENSOR_CURRENT,
        voltage: 5,
        through: '2',
        behaviour: 'electronic',
      }),
      pin({ id: '2', name: 'Sensor ground', use: 'sensor-ground' }),
      pin({ id: '3', name: 'Signal', use: 'signal', capability, frequency }),
    ],
    ...rest,
  });
};

/** Pressure by a sensor of 0.5 to 4.5 V over its span, Pa gauge. */
export const pressureSensor = (
  id: string,
  designation: string,
  role: DeviceRole,
  [spanLow, spanHigh]: readonly [number, number],
  seat: SeatThread,
): DeviceItem => threeWire(id, designation, role, { sensing: 'pressure', spanLow, spanHigh, seat });

/** A sensor of three wires on 12 V with a switched output. */
export const hall = (
  id: string,
  designation: string,
  role: DeviceRole,
  parts: Partial<DeviceItem> & { readonly frequency?: number } = {},
): DeviceItem => {
  const { frequency = 2000, ...rest } = parts;
  return device({
    id,
    designation,
    role,
    price: 38,
    pins: [
      pin({
        id: '1',
        name: 'Supply',
        use: 'supply',
        current: 0.015,
        voltage: 13.5,
        through: '2',
        behaviour: 'electronic',
      }),
      pin({ id: '2', name: 'Sensor ground', use: 'sensor-ground' }),
      pin({ id: '3', name: 'Signal', use: 'signal', capability: 'frequency', frequency }),
    ],
    ...rest,
  });
};

/** A coil of a magnet and its two wires, with a shield. */
export const inductive = (id: string, designation: string, role: DeviceRole): DeviceItem =>
  device({
    id,
    designation,
    role,
    price: 42,
    pins: [
      pin({
        id: '1',
        name: 'Signal +',
        use: 'signal',
        capability: 'inductive',
        frequency: 8000,
        pairedWith: '2',
      }),
      pin({
        id: '2',
        name: 'Signal −',
        use: 'signal',
        capability: 'inductive',
        frequency: 8000,
        pairedWith: '1',
      }),
      pin({ id: 'S', name: 'Shield', use: 'shield' }),
    ],
  });

interface Load {
  readonly current: number;
  readonly when: LoadTime;
  readonly capability?: PinCapability;
  readonly frequency?: number;
  readonly duty?: number;
}

/** A load between a fused supply and an output that sinks. */
export const sinkLoad = (
  id: string,
  designation: string,
  role: DeviceRole,
  { current, when, capability = 'low-side', frequency = 0, duty = 1 }: Load,
  parts: Partial<DeviceItem> = {},
): DeviceItem =>
  device({
    id,
    designation,
    role,
    pins: [
      pin({
        id: '1',
        name: 'Supply',
        use: 'supply',
        current,
        voltage: 13.5,
        duty,
        through: '2',
        behaviour: 'resistive',
        when,
      }),
      pin({ id: '2', name: 'Switched', use: 'signal', capability, current, frequency }),
    ],
    ...parts,
  });

/** A load between a supply and a ground. */
export const groundLoad = (
  id: string,
  designation: string,
  role: DeviceRole,
  {
    current,
    when,
    duty = 1,
    motor = false,
    ground = 'ground',
  }: Load & { readonly motor?: boolean; readonly ground?: 'ground' | 'case' },
  parts: Partial<DeviceItem> = {},
): DeviceItem =>
  device({
    id,
    designation,
    role,
    wireAreaMax: 6 * MM2,
    plugFamily: 'S2.8',
    wireAreaMin: 0.5 * MM2,
    pins: [
      pin({
        id: '+',
        name: 'Supply',
        use: 'supply',
        current,
        voltage: 13.5,
        duty,
        through: '−',
        behaviour: motor ? 'motor' : 'resistive',
        when,
      }),
      pin({ id: '−', name: ground === 'case' ? 'Case' : 'Ground', use: ground }),
    ],
    ...parts,
  });

/** A contact between two pins. */
export const contact = (
  id: string,
  designation: string,
  role: DeviceRole,
  parts: Partial<DeviceItem> = {},
): DeviceItem =>
  device({
    id,
    designation,
    role,
    price: 12,
    wireAreaMax: 2.5 * MM2,
    pins: [
      pin({
        id: 'in',
        name: 'In',
        use: 'supply',
        through: 'out',
        behaviour: 'contact',
        contactResistance: 0.01,
      }),
      pin({ id: 'out', name: 'Out', use: 'supply-out' }),
    ],
    ...parts,
  });

/** A switch that pulls an input to sensor ground. */
export const inputSwitch = (id: string, designation: string): DeviceItem =>
  device({
    id,
    designation,
    role: 'switch',
    price: 9,
    pins: [
      pin({ id: '1', name: 'Signal', use: 'signal', capability: 'digital' }),
      pin({ id: '2', name: 'Sensor ground', use: 'sensor-ground' }),
    ],
  });

/** A module on the bus with a fused supply. */
export const busModule = (
  id: string,
  designation: string,
  role: DeviceRole,
  current: number,
  parts: Partial<DeviceItem> & { readonly when?: LoadTime } = {},
): DeviceItem => {
  const { when = 'key on', ...rest } = parts;
  return device({
    id,
    designation,
    role,
    price: 240,
    pins: [
      pin({
        id: '1',
        name: 'Supply',
        use: 'supply',
        current,
        voltage: 13.5,
        through: '2',
        behaviour: 'electronic',
        when,
      }),
      pin({ id: '2', name: 'Ground', use: 'ground' }),
      pin({ id: '3', name: 'Bus high', use: 'bus-high', capability: 'can', pairedWith: '4' }),
      pin({ id: '4', name: 'Bus low', use: 'bus-low', capability: 'can', pairedWith: '3' }),
    ],
    ...rest,
  });
};
