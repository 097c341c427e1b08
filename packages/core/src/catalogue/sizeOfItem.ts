import type { CatalogueItem } from './catalogueItem.ts';
import { bodyFields, hasBody, plugFields, portFields, returnPort } from './kinds/bodyFields.ts';
import { seatFields } from './kinds/seatFields.ts';

const sizeKeys = new Set(
  Object.keys({ ...bodyFields, ...plugFields, ...portFields, ...returnPort, ...seatFields }),
);

/** Tells whether an item says how large it is, or has no size of its own to tell. */
export function saysItsSize(item: CatalogueItem): boolean {
  if (item.category === 'injector') return item.reach > 0;
  return !('bodyLength' in item) || hasBody(item);
}

/**
 * What of an item does not tell how large it is. Items kept before sizes were asked for say nothing
 * of theirs: the same revision with it is the same item, told more of.
 */
export const withoutSize = (item: CatalogueItem): object =>
  Object.fromEntries(Object.entries(item).filter(([key]) => !sizeKeys.has(key)));
