import {
  type Catalogue,
  type CatalogueItem,
  lookUp,
  refKey,
  refOf,
} from '../../catalogue/index.ts';
import type { ElectricDesign } from '../../electrics/index.ts';
import type { Controller, Device } from '../../model/index.ts';

/** What of the document says which devices there are. */
export interface PresentParts {
  readonly devices: readonly Device[];
  readonly controllers: readonly Controller[];
}

/** So many of a part, what it is for, and where the build says so. */
export interface ElectricPart {
  readonly item: CatalogueItem;
  readonly quantity: number;
  readonly name: string;
  readonly path: readonly string[];
}

/** What the electrics take: new devices, controllers, fuses and relays. */
export function electricParts(
  { fuses }: Pick<ElectricDesign, 'fuses'>,
  { devices, controllers }: PresentParts,
  catalogue: Catalogue,
): ElectricPart[] {
  const parts: ElectricPart[] = [];
  const bought = new Set(devices.filter(({ state }) => state === 'new').map(({ id }) => id));
  const kept = new Set(devices.filter(({ state }) => state === 'kept').map(({ id }) => id));
  const put = (item: CatalogueItem, name: string, path: readonly string[], quantity = 1): void => {
    parts.push({ item, quantity, name, path });
  };
  for (const { partId, name, judged } of fuses) {
    if (kept.has(partId)) continue;
    const path = bought.has(partId) ? ['devices', partId] : ['power'];
    put(judged.fuse, name, path);
  }
  for (const { id, name, state, part } of devices) {
    if (state !== 'new') continue;
    const path = ['devices', id];
    if (part.kind === 'item') put(lookUp(catalogue, 'device', part.item, id), name, path);
    if (part.kind === 'relay') put(lookUp(catalogue, 'relay', part.item, id), name, path);
  }
  for (const { id, name, item, state } of controllers) {
    if (state === 'kept') continue;
    put(lookUp(catalogue, 'ecu', item, id), name, ['controllers', id]);
  }
  // One of each relay and fuse lies in the glove box.
  const spared = new Map(
    parts
      .filter(({ item }) => item.category === 'relay' || item.category === 'fuse')
      .map(({ item }) => [refKey(refOf(item)), item] as const),
  );
  for (const item of spared.values()) put(item, 'one to spare', ['devices']);
  return parts;
}
