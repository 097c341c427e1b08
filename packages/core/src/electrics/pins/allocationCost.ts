import type { OutputNeed, PinOffer } from './allocationProblem.ts';
import { capabilityOf } from '../../catalogue/index.ts';

/** What a device costs on the connector that is not its own. */
const OTHER_CONNECTOR = 6;
/** What each place costs that an injector or coil is out of its own. */
const OUT_OF_PLACE = 3;
/** What each pin costs further back in its row: rows fill from the front. */
const FURTHER_BACK = 0.01;

/**
 * What it costs to put signals on a pin: capabilities wasted, the wrong connector, places out of
 * order. Only its order matters: of two allocations the cheaper is the better.
 */
export function costOf(pin: PinOffer, { signals }: OutputNeed): number {
  const wanted = new Set(signals.map(({ capability }) => capability));
  const wasted = pin.capabilities
    .filter((each) => !wanted.has(each))
    .reduce((sum, each) => sum + capabilityOf(each).worthKeepingFree, 0);
  const others = signals.reduce((sum, { nearConnector, position }) => {
    const apart = nearConnector !== undefined && nearConnector !== pin.connector;
    const moved = position === undefined ? 0 : Math.abs(position - pin.number);
    return sum + (apart ? OTHER_CONNECTOR : 0) + OUT_OF_PLACE * moved;
  }, 0);
  return wasted + others + FURTHER_BACK * pin.number;
}
