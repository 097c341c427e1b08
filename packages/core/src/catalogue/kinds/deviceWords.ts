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
