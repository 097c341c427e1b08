import {
  type Catalogue,
  type CatalogueCategory,
  type CatalogueItem,
  categoryNames,
  newestOf,
} from '@brookrain/core';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { api } from '../../api/client.ts';

export const categories = Object.keys(categoryNames) as CatalogueCategory[];

/** The category an address names; undefined when it names none. */
export const categoryOf = (text: string | undefined): CatalogueCategory | undefined =>
  categories.find((category) => category === text);

/** The catalogue with the newest revision of each item by category. */
export function useCatalogue() {
  const query = useQuery({ queryKey: ['catalogue'], queryFn: api.catalogue });
  const catalogue: Catalogue = query.data ?? { items: [] };
  const newest = useMemo(
    () =>
      new Map<CatalogueCategory, readonly CatalogueItem[]>(
        categories.map((category) => [category, newestOf(catalogue, category)]),
      ),
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [query.data],
  );
  return { catalogue, newest, error: query.error, ready: query.data !== undefined };
}
