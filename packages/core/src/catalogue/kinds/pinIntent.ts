/** What a pin is to the circuit that it belongs to. */
export const pinNatures = [
  'supply',
  'supply out',
  'ground',
  'sensor ground',
  'reference',
  'signal in',
  'output low',
  'output high',
  'output push-pull',
  'output h-bridge',
  'output stepper phase',
  'coil',
  'contact',
  'bus high',
  'bus low',
  'bus line',
  'shield',
  'case',
  'none',
] as const;
export type PinNature = (typeof pinNatures)[number];

/** What a pin must be joined to before it can do its work. */
export type PinReach =
  /** live in every position of the key */
  | 'constant'
  /** live in RUN */
  | 'keyed run'
  /** live in RUN and in CRANK */
  | 'keyed run and crank'
  /** live as the table of switching says */
  | 'switched by the table'
  | 'ground of the engine'
  | 'ground of the chassis'
  /** the sensor ground of the controller that reads its signal */
  | 'sensor ground of its controller'
  /** a reference of the controller that reads its signal */
  | 'reference of its controller'
  /** a pin of a controller that can do what it asks */
  | 'a capability'
  /** a pin of a device that asks for this capability */
  | 'a device that asks for it'
  | 'the same bus'
  | 'nothing';

/** Whether a pin may be left open. */
export type PinNeed = 'required' | 'when used' | 'optional';

/** Whether it matters which way round a pin is connected. */
export type PinPolarity = 'either way' | 'matters' | 'damaged by reversal';

/** What a pin asks of the circuit that it is wired into. */
export interface PinIntent {
  readonly nature: PinNature;
  /** any of these will do */
  readonly reach: readonly PinReach[];
  readonly need: PinNeed;
  /** A that it carries at most; `item`: what its catalogue entry says */
  readonly current: number | 'item';
  /** V against the ground of its controller or device, lowest and highest that it stands or works at */
  readonly voltage: readonly [low: number, high: number];
  readonly polarity: PinPolarity;
}

/** How a pin is drawn: which way what it carries goes. */
export const pinSymbols = [
  'in',
  'out',
  'in and out',
  'supply',
  'ground',
  'reference',
  'bus',
  'shield',
  'none',
] as const;
export type PinSymbol = (typeof pinSymbols)[number];
