import { type Catalogue, newestOf } from '../../catalogue/index.ts';
import type { DeviceItem } from '../../catalogue/index.ts';
import type { StoredDevice } from '../../electrics/index.ts';
import type { InlineLoad } from '../connectors/inlineLoads.ts';

/** Share of its ways that a new connector keeps free. */
const SPARE = 0.1;

/** Ways that lead the wires past a connector through the free ones, in their order, as far as those go. */
export function ledThrough({ free, without }: InlineLoad): StoredDevice['ways'] {
  return Object.fromEntries(
    without.slice(0, free.length).flatMap(({ wire, fromFirst }, i) => {
      const pin = free[i];
      return pin === undefined ? [] : [[pin, { wireId: wire.id, fromHere: fromFirst }] as const];
    }),
  );
}

/** Pins of an item that name a way: those with a contact to another. */
export const wayPins = ({ pins }: DeviceItem): readonly string[] =>
  pins.flatMap(({ id, behaviour, through }) =>
    behaviour === 'contact' && through !== '' ? [id] : [],
  );

/** The smallest connector of the catalogue that takes what leads through and past one, with some to spare. */
export function widerConnector(
  catalogue: Catalogue,
  { taken, without }: InlineLoad,
): DeviceItem | undefined {
  const needed = Math.ceil((taken.length + without.length) * (1 + SPARE));
  return newestOf(catalogue, 'device')
    .filter((item) => item.role === 'connector' && wayPins(item).length >= needed)
    .sort((a, b) => wayPins(a).length - wayPins(b).length)[0];
}
