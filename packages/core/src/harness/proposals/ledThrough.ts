import { type Catalogue, newestOf } from '../../catalogue/index.ts';
import type { DeviceItem } from '../../catalogue/index.ts';
import { type NetPart, type StoredDevice, halvesOf } from '../../electrics/index.ts';
import type { Device } from '../../model/index.ts';
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

/**
 * Ways of other connectors, as changes, that name a wire led through one now: those that are parted
 * after it name what goes on beyond it, for it is the half nearer to the pin that they are named by.
 */
export function namedBeyond(
  { part, without }: InlineLoad,
  added: StoredDevice['ways'],
  devices: readonly Pick<Device, 'id' | 'ways'>[],
  parts: readonly NetPart[],
): { readonly path: readonly string[]; readonly value: string }[] {
  const byId = new Map(parts.map((each) => [each.id, each]));
  const beyond = new Map(
    Object.entries(added).flatMap(([pin, { wireId, fromHere }]) => {
      const wire = without.find((each) => each.wire.id === wireId)?.wire;
      const halves = wire && halvesOf(wire, byId.get(wire.partId), part, { pin, fromHere });
      return halves ? [[wireId, halves.otherId] as const] : [];
    }),
  );
  const later = devices.slice(devices.findIndex(({ id }) => id === part.id) + 1);
  return later.flatMap(({ id, ways }) =>
    Object.entries(ways).flatMap(([pin, { wireId }]) => {
      const value = beyond.get(wireId);
      return value === undefined ? [] : [{ path: ['devices', id, 'ways', pin, 'wireId'], value }];
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
