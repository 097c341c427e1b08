import type { PinIntent, PinSymbol } from './pinIntent.ts';

/** All that is known of what a pin of a device is there for; who adds one has to say all of it. */
export interface PinUseEntry extends PinIntent {
  /** in a sentence: "its supply" */
  readonly words: string;
  readonly symbol: PinSymbol;
  /** whether the circuit of its device needs it: left open, it is asked about */
  readonly isWired: boolean;
  /** the role of a wire that begins at it; `of the other end` where that decides */
  readonly wire:
    'ground' | 'sensor ground' | 'reference' | 'bus' | 'shield' | 'signal' | 'of the other end';
}

/** What a pin of a device is there for. */
export const pinUseEntries = {
  supply: {
    nature: 'supply',
    reach: ['constant', 'keyed run', 'keyed run and crank', 'switched by the table'],
    need: 'required',
    current: 'item',
    voltage: [9, 16],
    polarity: 'damaged by reversal',
    words: 'its supply',
    symbol: 'supply',
    isWired: true,
    wire: 'of the other end',
  },
  'supply-out': {
    nature: 'supply out',
    reach: ['switched by the table', 'constant'],
    need: 'when used',
    current: 'item',
    voltage: [0, 16],
    polarity: 'matters',
    words: 'what it feeds',
    symbol: 'out',
    isWired: false,
    wire: 'of the other end',
  },
  'charge-lamp': {
    nature: 'signal in',
    reach: ['keyed run', 'keyed run and crank'],
    need: 'when used',
    current: 'item',
    voltage: [0, 16],
    polarity: 'matters',
    words: 'its charge lamp',
    symbol: 'in',
    isWired: false,
    wire: 'of the other end',
  },
  ground: {
    nature: 'ground',
    reach: ['ground of the engine', 'ground of the chassis'],
    need: 'required',
    current: 'item',
    voltage: [-0.3, 0.3],
    polarity: 'damaged by reversal',
    words: 'its ground',
    symbol: 'ground',
    isWired: true,
    wire: 'ground',
  },
  case: {
    nature: 'case',
    reach: ['ground of the engine', 'ground of the chassis'],
    need: 'required',
    current: 'item',
    voltage: [-0.3, 0.3],
    polarity: 'either way',
    words: 'its case',
    symbol: 'ground',
    isWired: false,
    wire: 'ground',
  },
  'sensor-ground': {
    nature: 'sensor ground',
    reach: ['sensor ground of its controller'],
    need: 'required',
    current: 'item',
    voltage: [-0.1, 0.1],
    polarity: 'matters',
    words: 'its sensor ground',
    symbol: 'ground',
    isWired: true,
    wire: 'sensor ground',
  },
  'reference-5v': {
    nature: 'reference',
    reach: ['reference of its controller'],
    need: 'required',
    current: 'item',
    voltage: [4.75, 5.25],
    polarity: 'damaged by reversal',
    words: 'its 5 V reference',
    symbol: 'reference',
    isWired: true,
    wire: 'reference',
  },
  signal: {
    nature: 'signal in',
    reach: ['a capability'],
    need: 'when used',
    current: 'item',
    voltage: [0, 16],
    polarity: 'matters',
    words: 'its signal',
    symbol: 'in and out',
    isWired: false,
    wire: 'signal',
  },
  'bus-high': {
    nature: 'bus high',
    reach: ['the same bus'],
    need: 'required',
    current: 0,
    voltage: [0, 5],
    polarity: 'matters',
    words: 'bus high',
    symbol: 'bus',
    isWired: false,
    wire: 'bus',
  },
  'bus-low': {
    nature: 'bus low',
    reach: ['the same bus'],
    need: 'required',
    current: 0,
    voltage: [0, 5],
    polarity: 'matters',
    words: 'bus low',
    symbol: 'bus',
    isWired: false,
    wire: 'bus',
  },
  shield: {
    nature: 'shield',
    reach: ['sensor ground of its controller'],
    need: 'optional',
    current: 0,
    voltage: [-0.1, 0.1],
    polarity: 'either way',
    words: 'its shield',
    symbol: 'shield',
    isWired: false,
    wire: 'shield',
  },
  through: {
    nature: 'contact',
    reach: ['nothing'],
    need: 'when used',
    current: 'item',
    voltage: [-16, 16],
    polarity: 'either way',
    words: 'a contact',
    symbol: 'in and out',
    isWired: false,
    wire: 'of the other end',
  },
  spare: {
    nature: 'none',
    reach: ['nothing'],
    need: 'optional',
    current: 0,
    voltage: [-16, 16],
    polarity: 'either way',
    words: 'spare',
    symbol: 'none',
    isWired: false,
    wire: 'of the other end',
  },
} as const satisfies Readonly<Record<string, PinUseEntry>>;

export type PinUse = keyof typeof pinUseEntries;

export const pinUses = Object.keys(pinUseEntries) as readonly PinUse[];

/** What is known of a use. */
export const pinUseOf = (use: PinUse): PinUseEntry => pinUseEntries[use];
