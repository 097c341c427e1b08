import { NotFound } from '../quantities/index.ts';
import type { CatalogueCategory, CatalogueItem, ItemOf } from './catalogueItem.ts';
import type { ItemRef } from '../model/index.ts';

/** Items by id and revision, with the newest revision of each for choosing. */
export interface Catalogue {
  readonly items: readonly CatalogueItem[];
}

export const refKey = (ref: ItemRef): string => `${ref.id}@${ref.revision}`;
export const refOf = (item: CatalogueItem): ItemRef => ({ id: item.id, revision: item.revision });

const indexes = new WeakMap<Catalogue, ReadonlyMap<string, CatalogueItem>>();

function indexOf(catalogue: Catalogue): ReadonlyMap<string, CatalogueItem> {
  let index = indexes.get(catalogue);
  if (!index) {
    index = new Map(catalogue.items.map((item) => [`${item.id}@${item.revision}`, item]));
    indexes.set(catalogue, index);
  }
  return index;
}

/** The item that a reference names, of whatever category; undefined where there is none. */
export const itemAt = (catalogue: Catalogue, ref: ItemRef): CatalogueItem | undefined =>
  indexOf(catalogue).get(refKey(ref));

/** The item of a category that a reference names; throws NotFound with the place. */
export function lookUp<Category extends CatalogueCategory>(
  catalogue: Catalogue,
  category: Category,
  ref: ItemRef,
  where: string,
): ItemOf<Category> {
  const item = indexOf(catalogue).get(refKey(ref));
  if (!item || item.category !== category) {
    throw new NotFound(`no ${category} "${refKey(ref)}" in the catalogue`, where);
  }
  return item as ItemOf<Category>;
}

/** Newest revision of every item of a category, in catalogue order. */
export function newestOf<Category extends CatalogueCategory>(
  catalogue: Catalogue,
  category: Category,
): ItemOf<Category>[] {
  const newest = new Map<string, ItemOf<Category>>();
  for (const item of catalogue.items) {
    if (item.category !== category) continue;
    const known = newest.get(item.id);
    if (!known || known.revision < item.revision) newest.set(item.id, item as ItemOf<Category>);
  }
  return [...newest.values()];
}
