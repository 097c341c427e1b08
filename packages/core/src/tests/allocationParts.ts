import type { PinCapability } from '../catalogue/index.ts';
import type { PinOffer, SignalNeed } from '../electrics/pins/allocationProblem.ts';

/** A pin that is offered, with no limit but those that are said. */
export const pin = (
  id: string,
  capabilities: readonly PinCapability[],
  more: Partial<PinOffer> = {},
): PinOffer => ({
  id,
  connector: 'A',
  number: 1,
  capabilities,
  currentLimit: Infinity,
  frequencyLimit: Infinity,
  timer: undefined,
  pairedWith: undefined,
  ...more,
});
/** A signal that wants a pin, asking for nothing but what is said. */
export const signal = (
  id: string,
  capability: PinCapability,
  more: Partial<SignalNeed> = {},
): SignalNeed => ({
  id,
  name: id,
  capability,
  current: 0,
  frequency: 0,
  pairedWith: undefined,
  position: undefined,
  group: undefined,
  nearConnector: undefined,
  locked: undefined,
  output: undefined,
  ...more,
});
