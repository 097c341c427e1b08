import { groupBy, memo } from '../numerics/index.ts';
import { NotFound } from '../quantities/index.ts';
import type { CatalogueCategory, CatalogueItem, ItemOf } from './catalogueItem.ts';
import type { ItemRef } from '../model/index.ts';

/** Items by id and revision, with the newest revision of each for choosing. */
export interface Catalogue {
  readonly items: readonly CatalogueItem[];
}

export const refKey = (ref: ItemRef): string => `${ref.id}@${ref.revision}`;
export const refOf = (item: CatalogueItem): ItemRef => ({ id: item.id, revision: item.revision });

const indexOf = memo(
  ({ items }: Catalogue): ReadonlyMap<string, CatalogueItem> =>
    new Map(items.map((item) => [refKey(item), item])),
);

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

/** The newest revision of every item, by category. */
const newestByCategory = memo(
  ({ items }: Catalogue): ReadonlyMap<CatalogueCategory, readonly CatalogueItem[]> => {
    const newest = new Map<string, CatalogueItem>();
    for (const item of items) {
      const known = newest.get(item.id);
      if (!known || known.revision < item.revision) newest.set(item.id, item);
    }
    return groupBy([...newest.values()], ({ category }) => category);
  },
);

/** Newest revision of every item of a category, in catalogue order. */
export const newestOf = <Category extends CatalogueCategory>(
  catalogue: Catalogue,
  category: Category,
): readonly ItemOf<Category>[] =>
  (newestByCategory(catalogue).get(category) ?? []) as readonly ItemOf<Category>[];
