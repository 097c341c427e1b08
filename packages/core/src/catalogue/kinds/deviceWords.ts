/** What a device is for, in the words of the trade. */
export const deviceRoles = [
  'crank',
  'cam',
  'coolant temperature',
  'air temperature',
  'fuel temperature',
  'oil temperature',
  'gearbox oil temperature',
  'manifold pressure',
  'barometric pressure',
  'fuel pressure',
  'oil pressure',
  'coolant pressure',
  'brake pressure',
  'throttle position',
  'pedal position',
  'electronic throttle',
  'knock',
  'lambda',
  'ethanol content',
  'fuel level',
  'tip-over',
  'vehicle speed',
  'wheel speed',
  'suspension travel',
  'steering angle',
  'gear position',
  'exhaust temperature',
  'ignition coil',
  'idle valve',
  'boost valve',
  'purge valve',
  'cam valve',
  'gearbox valve',
  'water pump',
  'fan',
  'air conditioning clutch',
  'starter',
  'alternator',
  'stator',
  'lamp',
  'horn',
  'tachometer',
  'gauge',
  'switch',
  'key switch',
  'inertia switch',
  'isolator',
  'power module',
  'display',
  'keypad',
  'socket',
  'logger',
  'bus module',
  'valve driver',
  'connector',
  'stud',
  'resistor',
  'licensed system',
  'other',
] as const;
export type DeviceRole = (typeof deviceRoles)[number];

/** What a pin of a device is there for. */
export const pinUses = [
  'supply',
  'supply-out',
  'charge-lamp',
  'ground',
  'case',
  'sensor-ground',
  'reference-5v',
  'signal',
  'bus-high',
  'bus-low',
  'shield',
  'through',
  'spare',
] as const;
export type PinUse = (typeof pinUses)[number];

/** What lies between a pin and the pin that its current goes on to. */
export const pinBehaviours = ['none', 'resistive', 'motor', 'electronic', 'contact'] as const;
export type PinBehaviour = (typeof pinBehaviours)[number];

/** When a load takes its current. */
export const loadTimes = [
  'always',
  'key on',
  'engine turning',
  'cranking',
  'hot',
  'lights',
  'at times',
] as const;
export type LoadTime = (typeof loadTimes)[number];

/** What a sensor measures, as far as its ground moves the reading. */
export const sensings = ['none', 'pressure', 'temperature', 'position'] as const;

/** Threads in which sensors sit. */
export const seatThreads = [
  'none',
  '1/8-27 NPT',
  '1/4-18 NPT',
  '3/8-18 NPT',
  '1/2-14 NPT',
  'M8×1.25',
  'M10×1',
  'M12×1.5',
  'M14×1.5',
  'M18×1.5',
  'flange',
] as const;
export type SeatThread = (typeof seatThreads)[number];

/** Families of plugs. */
export const plugFamilies = [
  'none',
  'S0.64',
  'S1.5',
  'S2.8',
  'header',
  'round bulkhead',
  'ring terminal',
  'blade 6.3',
] as const;
