import type { PinIntent, PinSymbol } from './pinIntent.ts';

/**
 * What a pin of a controller is inside it, for the circuit. Resistances Ω and voltages V: defaults
 * of the trade.
 */
export type PinStamp =
  /** joined to the supply pin of its controller */
  | { readonly kind: 'supply'; readonly resistance: number }
  /** takes what its controller draws with the key off */
  | { readonly kind: 'constant supply' }
  /** joined to the first power ground of its controller */
  | { readonly kind: 'power ground'; readonly resistance: number }
  | { readonly kind: 'sensor ground'; readonly resistance: number }
  | { readonly kind: 'reference'; readonly voltage: number; readonly resistance: number }
  /** a reference behind the pull-up of the pin */
  | { readonly kind: 'pull-up'; readonly voltage: number }
  /** switches to the power ground */
  | { readonly kind: 'low side'; readonly resistance: number }
  /** switches to the supply, and opens by itself above its current */
  | { readonly kind: 'high side'; readonly resistance: number }
  /** switches to the supply or to the power ground, with the other pin of its pair the other way */
  | { readonly kind: 'half bridge'; readonly resistance: number }
  /** drives a logic level */
  | { readonly kind: 'logic'; readonly voltage: number; readonly resistance: number }
  /** takes no current worth reckoning with */
  | { readonly kind: 'input' }
  | { readonly kind: 'bus' };

/** All that is known of a capability; who adds one has to say all of it. */
export interface CapabilityEntry extends PinIntent {
  /** in a sentence: "a high-side output" */
  readonly words: string;
  readonly symbol: PinSymbol;
  readonly stamp: PinStamp;
  /** whether a signal of a device may be put on it; else it serves the controller or its sensors */
  readonly forSignals: boolean;
  /** what it is worth to leave such a pin free for a signal that can go nowhere else */
  readonly worthKeepingFree: number;
}

const signalIn = {
  nature: 'signal in',
  reach: ['a device that asks for it'],
  need: 'when used',
  current: 0,
  polarity: 'either way',
  symbol: 'in',
  stamp: { kind: 'input' },
  forSignals: true,
  worthKeepingFree: 4,
} as const;

const output = {
  reach: ['a device that asks for it'],
  need: 'when used',
  current: 'item',
  voltage: [0, 16],
  polarity: 'matters',
  symbol: 'out',
  forSignals: true,
  worthKeepingFree: 4,
} as const;

const lowSide = { kind: 'low side', resistance: 0.05 } as const;

const own = { forSignals: false, worthKeepingFree: 4 } as const;

/** What a pin of a controller can do. */
export const capabilities = {
  analogue: { ...signalIn, words: 'an analogue input', voltage: [0, 5] },
  'analogue-pull-up': {
    ...signalIn,
    words: 'an analogue input with pull-up',
    voltage: [0, 5],
    stamp: { kind: 'pull-up', voltage: 5 },
  },
  digital: { ...signalIn, words: 'a digital input', voltage: [0, 16] },
  frequency: { ...signalIn, words: 'a frequency input', voltage: [0, 16], worthKeepingFree: 10 },
  inductive: {
    ...signalIn,
    words: 'an inductive input',
    voltage: [-100, 100],
    polarity: 'matters',
    worthKeepingFree: 30,
  },
  knock: { ...signalIn, words: 'a knock input', voltage: [-5, 5], worthKeepingFree: 30 },
  thermocouple: {
    ...signalIn,
    words: 'a thermocouple input',
    voltage: [-0.1, 0.1],
    polarity: 'matters',
  },
  'low-side': { ...output, nature: 'output low', words: 'a low-side output', stamp: lowSide },
  'high-side': {
    ...output,
    nature: 'output high',
    words: 'a high-side output',
    stamp: { kind: 'high side', resistance: 0.02 },
    worthKeepingFree: 60,
  },
  'peak-hold': {
    ...output,
    nature: 'output low',
    words: 'a peak-and-hold driver',
    stamp: lowSide,
    worthKeepingFree: 30,
  },
  pwm: {
    ...output,
    nature: 'output low',
    words: 'a PWM output',
    stamp: lowSide,
    worthKeepingFree: 8,
  },
  'logic-out': {
    ...output,
    nature: 'output push-pull',
    words: 'a logic output',
    voltage: [0, 5],
    stamp: { kind: 'logic', voltage: 5, resistance: 100 },
  },
  'coil-driver': {
    ...output,
    nature: 'output low',
    words: 'a coil driver',
    voltage: [0, 450],
    stamp: lowSide,
  },
  'h-bridge': {
    ...output,
    nature: 'output h-bridge',
    words: 'an H-bridge output',
    symbol: 'in and out',
    stamp: { kind: 'half bridge', resistance: 0.05 },
    worthKeepingFree: 60,
  },
  stepper: {
    ...output,
    nature: 'output stepper phase',
    words: 'a stepper output',
    symbol: 'in and out',
    stamp: { kind: 'half bridge', resistance: 0.5 },
  },
  can: {
    nature: 'bus line',
    reach: ['the same bus'],
    need: 'when used',
    current: 0,
    voltage: [0, 5],
    polarity: 'matters',
    words: 'a CAN bus pin',
    symbol: 'bus',
    stamp: { kind: 'bus' },
    forSignals: true,
    worthKeepingFree: 4,
  },
  'reference-5v': {
    ...own,
    nature: 'reference',
    reach: ['a device that asks for it'],
    need: 'when used',
    current: 'item',
    voltage: [4.75, 5.25],
    polarity: 'damaged by reversal',
    words: 'a 5 V reference',
    symbol: 'reference',
    stamp: { kind: 'reference', voltage: 5, resistance: 0.5 },
  },
  'sensor-ground': {
    ...own,
    nature: 'sensor ground',
    reach: ['a device that asks for it'],
    need: 'when used',
    current: 'item',
    voltage: [-0.1, 0.1],
    polarity: 'matters',
    words: 'a sensor ground',
    symbol: 'ground',
    stamp: { kind: 'sensor ground', resistance: 0.005 },
  },
  'power-ground': {
    ...own,
    nature: 'ground',
    reach: ['ground of the engine', 'ground of the chassis'],
    need: 'required',
    current: 'item',
    voltage: [-0.3, 0.3],
    polarity: 'damaged by reversal',
    words: 'a power ground',
    symbol: 'ground',
    stamp: { kind: 'power ground', resistance: 1e-3 },
  },
  'supply-constant': {
    ...own,
    nature: 'supply',
    reach: ['constant'],
    need: 'required',
    current: 'item',
    voltage: [6, 16],
    polarity: 'damaged by reversal',
    words: 'a constant supply',
    symbol: 'supply',
    stamp: { kind: 'constant supply' },
  },
  'supply-switched': {
    ...own,
    nature: 'supply',
    reach: ['keyed run and crank', 'switched by the table'],
    need: 'required',
    current: 'item',
    voltage: [6, 16],
    polarity: 'damaged by reversal',
    words: 'a switched supply',
    symbol: 'supply',
    stamp: { kind: 'supply', resistance: 1e-3 },
  },
} as const satisfies Readonly<Record<string, CapabilityEntry>>;

export type PinCapability = keyof typeof capabilities;

/** All capabilities, inputs first. */
export const pinCapabilities = Object.keys(capabilities) as readonly PinCapability[];

/** What is known of a capability. */
export const capabilityOf = (capability: PinCapability): CapabilityEntry =>
  capabilities[capability];

/** Of a pin that can do several things, the one that its circuit has: the first of these. */
const stampOrder: Readonly<Record<PinStamp['kind'], number>> = {
  supply: 0,
  'constant supply': 1,
  'power ground': 2,
  'high side': 3,
  'low side': 4,
  'half bridge': 5,
  logic: 6,
  'sensor ground': 7,
  reference: 8,
  'pull-up': 9,
  bus: 10,
  input: 11,
};

/** What a pin is inside its controller, by what it can do; an input where it can do nothing. */
export const stampOf = (can: readonly PinCapability[]): PinStamp =>
  can
    .map((each) => capabilityOf(each).stamp)
    .reduce<PinStamp>(
      (first, each) => (stampOrder[each.kind] < stampOrder[first.kind] ? each : first),
      { kind: 'input' },
    );
