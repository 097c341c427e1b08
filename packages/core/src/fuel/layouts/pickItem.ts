import { refOf } from '../../catalogue/index.ts';
import type { CatalogueItem } from '../../catalogue/index.ts';
import type { ItemRef } from '../../model/index.ts';

/** The best of some items by a figure, lowest first; the reference of what is there goes before. */
export function pickItem<Item extends CatalogueItem>(
  items: readonly Item[],
  fits: (item: Item) => boolean,
  figure: (item: Item) => number,
): ItemRef | undefined {
  const best = items.filter(fits).sort((a, b) => figure(a) - figure(b) || a.price - b.price)[0];
  return best && refOf(best);
}

/** A reference that must be there. Throws RangeError naming what the catalogue lacks. */
export function neededItem(ref: ItemRef | undefined, what: string): ItemRef {
  if (!ref) throw new RangeError(`the catalogue has no ${what}`);
  return ref;
}
