import type { ElectricSystem } from './electricSystems.ts';

/** How a device is drawn in a schematic. */
export type DeviceSymbol = 'coil' | 'motor' | 'lamp' | 'switch' | 'source' | 'sensor';

/** All that a role decides of a device beside what its item says; who adds one has to say all of it. */
export interface DeviceRoleEntry {
  /** the system that a person looks for it in */
  readonly system: ElectricSystem;
  readonly symbol: DeviceSymbol;
  /** what it is to its circuit */
  readonly sort: 'device' | 'switch' | 'stud';
  /** how wires are held at it: as its connector says, or each in a contact of a holder */
  readonly joint: 'of its connector' | 'holder';
  /** how its share of the time follows engine speed: a coil is charged as long each time */
  readonly duty: 'steady' | 'by engine speed';
  /** opens by itself in a crash */
  readonly opensInCrash: boolean;
  /** where it wants to sit; empty where the trade says nothing */
  readonly seatAdvice: string;
  /** how its seat is made where none is there */
  readonly seatMade: 'tapped' | 'boss';
  /** how it seals: as its thread does, or not at all */
  readonly seal: 'as its thread' | 'none';
}

const plain = {
  symbol: 'sensor',
  sort: 'device',
  joint: 'of its connector',
  duty: 'steady',
  opensInCrash: false,
  seatAdvice: '',
  seatMade: 'tapped',
  seal: 'as its thread',
} as const;

const sensor = { ...plain, system: 'sensors' } as const;

/** What a device is for, in the words of the trade. */
export const deviceRoleEntries = {
  crank: sensor,
  cam: sensor,
  'coolant temperature': { ...sensor, seatAdvice: 'In moving water, not in a dead end.' },
  'air temperature': {
    ...sensor,
    seatAdvice:
      'Behind the charge cooler where there is one, out of heat soak and out of the wind.',
  },
  'fuel temperature': sensor,
  'oil temperature': sensor,
  'gearbox oil temperature': sensor,
  'manifold pressure': sensor,
  'barometric pressure': sensor,
  'fuel pressure': {
    ...sensor,
    seatAdvice:
      'Damped from the pulses of pump and injectors: a short hose or a restrictor before it.',
  },
  'oil pressure': sensor,
  'coolant pressure': sensor,
  'brake pressure': sensor,
  'throttle position': sensor,
  'pedal position': sensor,
  'electronic throttle': { ...plain, system: 'actuators', symbol: 'motor' },
  knock: { ...sensor, seal: 'none' },
  lambda: {
    ...sensor,
    seatAdvice: 'Its axis at least 10° above level, tip down, ahead of any leak.',
    seatMade: 'boss',
  },
  'ethanol content': sensor,
  'fuel level': sensor,
  'tip-over': { ...sensor, opensInCrash: true },
  'vehicle speed': sensor,
  'wheel speed': sensor,
  'suspension travel': sensor,
  'steering angle': sensor,
  'gear position': sensor,
  'exhaust temperature': sensor,
  'ignition coil': { ...plain, system: 'ignition', symbol: 'coil', duty: 'by engine speed' },
  'idle valve': { ...plain, system: 'actuators', symbol: 'coil' },
  'boost valve': { ...plain, system: 'actuators', symbol: 'coil' },
  'purge valve': { ...plain, system: 'actuators', symbol: 'coil' },
  'cam valve': { ...plain, system: 'actuators', symbol: 'coil' },
  'gearbox valve': { ...plain, system: 'actuators', symbol: 'coil' },
  'water pump': { ...plain, system: 'cooling', symbol: 'motor' },
  fan: { ...plain, system: 'cooling', symbol: 'motor' },
  'air conditioning clutch': { ...plain, system: 'cooling', symbol: 'coil' },
  starter: { ...plain, system: 'starting', symbol: 'motor' },
  alternator: { ...plain, system: 'starting', symbol: 'source' },
  stator: { ...plain, system: 'starting', symbol: 'source' },
  lamp: { ...plain, system: 'lamps', symbol: 'lamp' },
  horn: { ...plain, system: 'lamps', symbol: 'coil' },
  tachometer: { ...plain, system: 'lamps', symbol: 'lamp' },
  gauge: { ...plain, system: 'lamps', symbol: 'lamp' },
  switch: { ...sensor, symbol: 'switch', sort: 'switch' },
  'key switch': { ...plain, system: 'starting', symbol: 'switch', sort: 'switch' },
  'inertia switch': {
    ...plain,
    system: 'pumps',
    symbol: 'switch',
    sort: 'switch',
    opensInCrash: true,
  },
  isolator: { ...plain, system: 'starting', symbol: 'switch', sort: 'switch' },
  'power module': { ...plain, system: 'controllers' },
  display: { ...plain, system: 'bus', symbol: 'lamp' },
  keypad: { ...plain, system: 'bus' },
  socket: { ...plain, system: 'bus' },
  logger: { ...plain, system: 'bus' },
  'bus module': { ...plain, system: 'bus' },
  'valve driver': { ...plain, system: 'actuators' },
  connector: { ...plain, system: 'supply', joint: 'holder' },
  stud: { ...plain, system: 'supply', sort: 'stud' },
  resistor: { ...plain, system: 'bus' },
  'licensed system': { ...plain, system: 'lamps' },
  other: { ...plain, system: 'lamps' },
} as const satisfies Readonly<Record<string, DeviceRoleEntry>>;

export type DeviceRole = keyof typeof deviceRoleEntries;

export const deviceRoles = Object.keys(deviceRoleEntries) as readonly DeviceRole[];

/** What a role decides of a device. */
export const deviceRoleOf = (role: DeviceRole): DeviceRoleEntry => deviceRoleEntries[role];
