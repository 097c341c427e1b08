import type { DevicePin, EcuItem } from '../../catalogue/index.ts';

/** A controller that says what its pins can do. */
export interface Unit {
  readonly id: string;
  readonly name: string;
  readonly item: EcuItem;
}

/** Pins of a unit that are free and can do what is asked, for which they need no partner. */
export function freeFor(
  { item }: Unit,
  need: Pick<DevicePin, 'capability' | 'current' | 'frequency'>,
  assigned: ReadonlyMap<string, string>,
) {
  const taken = new Set(assigned.values());
  return item.pins.filter(
    (pin) =>
      !taken.has(pin.id) &&
      need.capability !== 'none' &&
      pin.capabilities.includes(need.capability) &&
      (pin.current === 0 || pin.current >= need.current) &&
      (pin.frequency === 0 || pin.frequency >= need.frequency),
  );
}
