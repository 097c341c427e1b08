import type { DeviceItem, EcuItem } from '../../catalogue/index.ts';
import { type Netlist, controllerSignals, pinOffers, problemOf } from '../../electrics/index.ts';
import type { Build } from '../../model/index.ts';

/** A controller of a build with its item. */
export interface Unit {
  readonly id: string;
  readonly name: string;
  readonly placementId: string;
  readonly item: EcuItem;
}

/** Free pins of a controller for the signals of a device, and signals for which none is free. */
export interface FreePins {
  readonly pins: ReadonlyMap<string, string>;
  readonly wanting: readonly DeviceItem['pins'][number][];
}

/** Looks for a free pin of a controller for every signal of a device that asks for one. */
export function freePins(
  device: DeviceItem,
  unit: Unit,
  build: Pick<Build, 'devices' | 'power' | 'controllers'>,
  netlist: Netlist,
): FreePins {
  const signals = controllerSignals(build, netlist, unit.id, unit.item);
  const { assigned } = problemOf(unit.item, signals);
  const taken = new Set(assigned.values());
  const offers = pinOffers(unit.item);
  const pins = new Map<string, string>();
  const wanting: DeviceItem['pins'][number][] = [];
  for (const pin of device.pins) {
    const { capability } = pin;
    if (pin.use !== 'signal' || capability === 'none' || pins.has(pin.id)) continue;
    const mate = device.pins.find(({ id }) => id === pin.pairedWith);
    const fits = offers.filter(
      (offer) =>
        !taken.has(offer.id) &&
        offer.capabilities.includes(capability) &&
        pin.current <= offer.currentLimit &&
        pin.frequency <= offer.frequencyLimit &&
        (!mate || (offer.pairedWith !== undefined && !taken.has(offer.pairedWith))),
    );
    // What can do least else is taken first.
    const [best] = fits.sort((a, b) => a.capabilities.length - b.capabilities.length);
    if (!best) {
      wanting.push(pin);
      continue;
    }
    pins.set(pin.id, best.id);
    taken.add(best.id);
    if (mate && best.pairedWith !== undefined) {
      pins.set(mate.id, best.pairedWith);
      taken.add(best.pairedWith);
    }
  }
  return { pins, wanting };
}
