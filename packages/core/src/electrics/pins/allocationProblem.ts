import { BadInput } from '../../quantities/index.ts';
import type { PinCapability } from '../../catalogue/index.ts';
import { addTo } from '../../numerics/index.ts';

/** A pin of a controller and what it may be used for. */
export interface PinOffer {
  readonly id: string;
  readonly connector: string;
  /** its place among the pins of its kind: output 1, output 2 … */
  readonly number: number;
  readonly capabilities: readonly PinCapability[];
  /** most it carries, A; Infinity where nothing is said */
  readonly currentLimit: number;
  /** fastest it switches or counts, Hz; Infinity where nothing is said */
  readonly frequencyLimit: number;
  /** pins with the same timer share one frequency */
  readonly timer: string | undefined;
  /** the other pin of its pair: bridge, differential input, bus */
  readonly pairedWith: string | undefined;
}

/** What a signal of a device asks of its pin. */
export interface SignalNeed {
  readonly id: string;
  readonly name: string;
  readonly capability: PinCapability;
  /** A */
  readonly current: number;
  /** Hz at which it is switched or comes; 0 where it does not matter */
  readonly frequency: number;
  /** the signal on the other pin of the same pair */
  readonly pairedWith: string | undefined;
  /** place in a row that is best kept in order: injector 3 */
  readonly position: number | undefined;
  /** what is fired in turn with it, in the order of their places */
  readonly group: string | undefined;
  /** connector that lies nearest to the device */
  readonly nearConnector: string | undefined;
  /** pin that a person has settled */
  readonly locked: string | undefined;
  /** signals with the same name here share one pin: their currents add */
  readonly output: string | undefined;
}

/** Pins that together carry no more than so much, A. */
export interface TotalLimit {
  readonly id: string;
  readonly name: string;
  readonly pins: readonly string[];
  readonly current: number;
}

/** Which signals are to be put on which pins. */
export interface AllocationProblem {
  readonly pins: readonly PinOffer[];
  readonly signals: readonly SignalNeed[];
  readonly totals: readonly TotalLimit[];
}

/** Pin of each signal, by their ids. */
export type Assignment = ReadonlyMap<string, string>;

/** Signals that take one pin together, with what they ask of it. */
export interface OutputNeed {
  readonly key: string;
  readonly signals: readonly SignalNeed[];
  readonly current: number;
  readonly frequency: number;
  readonly locked: readonly string[];
}

/** Signals put together by the pin that they share; throws BadInput where names say what is not there. */
export function outputsOf({ pins, signals, totals }: AllocationProblem): OutputNeed[] {
  const pinIds = new Set(pins.map(({ id }) => id));
  const signalIds = new Set(signals.map(({ id }) => id));
  const unknown = (what: string, id: string): never => {
    throw new BadInput(`${what} "${id}" is not there`, id);
  };
  if (pinIds.size < pins.length) throw new BadInput('two pins have the same id', 'pins');
  if (signalIds.size < signals.length)
    throw new BadInput('two signals have the same id', 'signals');
  for (const { locked, pairedWith } of signals) {
    if (locked !== undefined && !pinIds.has(locked)) unknown('pin', locked);
    if (pairedWith !== undefined && !signalIds.has(pairedWith)) unknown('signal', pairedWith);
  }
  for (const pin of [
    ...pins.flatMap((p) => p.pairedWith ?? []),
    ...totals.flatMap((t) => t.pins),
  ]) {
    if (!pinIds.has(pin)) unknown('pin', pin);
  }
  const together = new Map<string, SignalNeed[]>();
  for (const signal of signals) {
    const key = signal.output === undefined ? `signal ${signal.id}` : `output ${signal.output}`;
    addTo(together, key, signal);
  }
  return [...together].map(([key, members]) => ({
    key,
    signals: members,
    current: members.reduce((sum, { current }) => sum + current, 0),
    frequency: Math.max(...members.map(({ frequency }) => frequency)),
    locked: [...new Set(members.flatMap(({ locked }) => locked ?? []))],
  }));
}

/** Whether a pin can do by itself what an output asks of it. */
export const suits = (pin: PinOffer, { signals, current, frequency }: OutputNeed): boolean =>
  signals.every(
    ({ capability, pairedWith }) =>
      pin.capabilities.includes(capability) &&
      (pairedWith === undefined || pin.pairedWith !== undefined),
  ) &&
  current <= pin.currentLimit + 1e-9 &&
  frequency <= pin.frequencyLimit + 1e-9;
