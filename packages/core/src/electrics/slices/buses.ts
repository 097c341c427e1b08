import { type Of, choice, object, orderField, record, text } from '../../model/spec.ts';

/** How fast a bus runs. */
export const busRates = ['1 Mbit/s', '500 kbit/s', '250 kbit/s'] as const;
export type BusRate = (typeof busRates)[number];

/** What is known of a bus: its name and how fast it runs. Who is on it, the wires say. */
export const busSpec = object({
  order: orderField,
  name: text({ label: 'Name', min: 1, max: 80 }),
  /** a pin that is on it */
  partId: text({ min: 1, max: 60 }),
  pin: text({ min: 1, max: 20 }),
  rate: choice(busRates, { label: 'Runs at', initial: '1 Mbit/s' }),
});
export type StoredBus = Of<typeof busSpec>;

export const busesSpec = record(busSpec, { max: 12, initial: {} });
