import type { DeviceItem } from '../../catalogue/index.ts';
import { busModule, contact, device, inputSwitch, pin } from './deviceShorthand.ts';

const MM2 = 1e-6;
const large = { wireAreaMin: 6 * MM2, wireAreaMax: 70 * MM2, plugFamily: 'ring terminal' } as const;

/** Switches, modules, sockets, resistors: what the vehicle has besides. */
export const sampleVehicleDevices: readonly DeviceItem[] = [
  inputSwitch('DV-SW', 'Switch to an input'),
  device({
    id: 'DV-OILSW',
    designation: 'Oil pressure switch, through its case',
    role: 'switch',
    price: 0,
    seat: '1/8-27 NPT',
    pins: [
      pin({
        id: '1',
        name: 'Lamp',
        use: 'supply',
        current: 0.2,
        voltage: 13.5,
        through: 'case',
        behaviour: 'resistive',
      }),
      pin({ id: 'case', name: 'Case', use: 'case' }),
    ],
  }),
  contact('DV-BRAKE', 'Brake switch', 'switch'),
  contact('DV-CLUTCH', 'Clutch or neutral interlock', 'switch'),
  contact('DV-PN', 'Park/neutral switch', 'switch'),
  contact('DV-INERTIA', 'Inertia switch', 'inertia switch', { price: 24 }),
  contact('DV-ISO', 'Isolator', 'isolator', {
    ...large,
    price: 60,
    pins: [
      pin({
        id: 'in',
        name: 'Battery',
        use: 'supply',
        through: 'out',
        behaviour: 'contact',
        contactResistance: 0.0005,
      }),
      pin({ id: 'out', name: 'Vehicle', use: 'supply-out' }),
    ],
  }),
  contact('DV-ISO-2', 'Isolator, a second pole beside the main one', 'isolator', {
    ...large,
    price: 84,
    pins: [
      pin({
        id: 'in',
        name: 'Battery',
        use: 'supply',
        through: 'out',
        behaviour: 'contact',
        contactResistance: 0.0005,
      }),
      pin({ id: 'out', name: 'Vehicle', use: 'supply-out' }),
      pin({
        id: 'a',
        name: 'Second pole, in',
        use: 'supply',
        through: 'b',
        behaviour: 'contact',
        contactResistance: 0.01,
      }),
      pin({ id: 'b', name: 'Second pole, out', use: 'supply-out' }),
    ],
    wireAreaMin: 0.3 * MM2,
  }),
  device({
    id: 'DV-KEY',
    designation: 'Key switch, off, run, crank',
    role: 'key switch',
    price: 28,
    wireAreaMax: 2.5 * MM2,
    pins: [
      pin({
        id: '30',
        name: 'Battery',
        use: 'supply',
        through: '15',
        behaviour: 'contact',
        contactResistance: 0.01,
      }),
      pin({ id: '15', name: 'Run and crank', use: 'supply-out' }),
      pin({
        id: '50',
        name: 'Crank',
        use: 'supply-out',
        through: '15',
        behaviour: 'contact',
        contactResistance: 0.01,
      }),
    ],
  }),
  device({
    id: 'DV-TACH',
    designation: 'Tachometer',
    role: 'tachometer',
    price: 60,
    pins: [
      pin({
        id: '1',
        name: 'Supply',
        use: 'supply',
        current: 0.1,
        voltage: 13.5,
        through: '2',
        behaviour: 'electronic',
      }),
      pin({ id: '2', name: 'Ground', use: 'ground' }),
      pin({
        id: '3',
        name: 'Pulses',
        use: 'signal',
        capability: 'low-side',
        current: 0.02,
        frequency: 400,
      }),
    ],
  }),
  device({
    id: 'DV-SOCKET',
    designation: 'Diagnostic socket',
    role: 'socket',
    price: 8,
    pins: [
      pin({
        id: '16',
        name: 'Battery',
        use: 'supply',
        current: 1,
        voltage: 13.5,
        through: '4',
        behaviour: 'electronic',
        when: 'at times',
      }),
      pin({ id: '4', name: 'Chassis ground', use: 'ground' }),
      pin({ id: '5', name: 'Signal ground', use: 'ground' }),
      pin({ id: '6', name: 'Bus high', use: 'bus-high', capability: 'can', pairedWith: '14' }),
      pin({ id: '14', name: 'Bus low', use: 'bus-low', capability: 'can', pairedWith: '6' }),
    ],
  }),
  busModule('DV-DASH', 'Dash on the bus', 'display', 1.2, { price: 640 }),
  busModule('DV-KEYPAD', 'Keypad, 12 buttons, on the bus', 'keypad', 0.3, { price: 260 }),
  busModule('DV-LOGGER', 'Data logger on the bus', 'logger', 0.4, { price: 520 }),
  busModule('DV-TELE', 'Telemetry on the bus', 'bus module', 0.8, { price: 480 }),
  busModule('DV-TC', 'Thermocouple module on the bus', 'bus module', 0.2, { price: 220 }),
  device({
    id: 'DV-VALVE-DRV',
    designation: 'Driver for an idle valve of 3 wires',
    role: 'valve driver',
    price: 46,
    pins: [
      pin({
        id: '1',
        name: 'Supply',
        use: 'supply',
        current: 0.05,
        voltage: 13.5,
        through: '2',
        behaviour: 'electronic',
        when: 'engine turning',
      }),
      pin({ id: '2', name: 'Ground', use: 'ground' }),
      pin({
        id: '3',
        name: 'Pulse in',
        use: 'signal',
        capability: 'pwm',
        current: 0.02,
        frequency: 250,
      }),
      ...(['4', '5'] as const).map((id) =>
        pin({
          id,
          name: id === '4' ? 'Pulse out' : 'Pulse against it',
          use: 'through',
          pairedWith: id === '4' ? '5' : '4',
          through: '2',
          behaviour: 'contact',
          contactResistance: 0.05,
        }),
      ),
    ],
  }),
  device({
    id: 'DV-STUD',
    designation: 'Power stud M8',
    role: 'stud',
    price: 6,
    ...large,
    wireAreaMin: 0.3 * MM2,
    pins: [pin({ id: 'stud', name: 'Stud', use: 'through' })],
  }),
  device({
    id: 'DV-TERM',
    designation: 'Bus terminator, 120 Ω',
    role: 'resistor',
    price: 3,
    resistanceAt25: 120,
    pins: [
      pin({ id: '1', name: 'Bus high', use: 'bus-high', pairedWith: '2' }),
      pin({ id: '2', name: 'Bus low', use: 'bus-low', pairedWith: '1' }),
    ],
  }),
  device({
    id: 'DV-EXT',
    designation: 'Extinguisher trigger: not to be touched',
    role: 'licensed system',
    price: 0,
    pins: [pin({ id: '1', name: 'Its own loom', use: 'spare' })],
  }),
];

/** Pins of a connector: each way has a side A and a side B, joined by a contact of so much Ω. */
const waysOf = (ways: number, contactResistance: number) =>
  Array.from({ length: ways }, (_, i) => String(i + 1)).flatMap((way) => [
    pin({
      id: `${way}A`,
      name: `Way ${way}, side A`,
      use: 'through',
      through: `${way}B`,
      behaviour: 'contact',
      contactResistance,
    }),
    pin({ id: `${way}B`, name: `Way ${way}, side B`, use: 'through' }),
  ]);

const bulkhead = (ways: number): DeviceItem =>
  device({
    id: `DV-BH${ways}`,
    designation: `Bulkhead connector, ${ways} ways`,
    role: 'connector',
    plugFamily: 'round bulkhead',
    price: 40 + 2 * ways,
    mass: 0.1 + 0.002 * ways,
    wireAreaMax: 2.5 * MM2,
    pins: waysOf(ways, 0.005),
  });

/** Insulated studs through a wall, for what is too thick for contacts. */
const feedThrough = (ways: number): DeviceItem =>
  device({
    id: `DV-FT${ways}`,
    designation: `Feed-through studs, ${ways}`,
    role: 'connector',
    plugFamily: 'ring terminal',
    price: 6 + 4 * ways,
    mass: 0.02 * ways,
    wireAreaMin: 0.5 * MM2,
    wireAreaMax: 25 * MM2,
    pins: waysOf(ways, 0.0002),
  });

/** Connectors that take a loom through a wall, by their ways. */
export const sampleBulkheads: readonly DeviceItem[] = [
  ...[12, 24, 37, 47, 66, 128].map(bulkhead),
  ...[4, 8].map(feedThrough),
];
