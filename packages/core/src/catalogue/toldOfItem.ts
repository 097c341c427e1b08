import { sameValue } from '../numerics/index.ts';
import type { CatalogueItem } from './catalogueItem.ts';
import { notSaid } from './migrateItem.ts';

/** Whether a value is what stands there where nobody says. */
const isSilent = (value: unknown, usual: unknown): boolean =>
  value === usual || (Array.isArray(value) && Array.isArray(usual) && value.length === 0);

/** What an item tells: its fields without those in which it, or another, says nothing. */
function told(item: CatalogueItem, other: CatalogueItem): object {
  const usual = notSaid(item.category);
  const silent = (of: object, key: string): boolean =>
    key in usual && isSilent((of as Readonly<Record<string, unknown>>)[key], usual[key]);
  const says = ([key, value]: readonly [string, unknown]): boolean =>
    value !== undefined && !silent(item, key) && !silent(other, key);
  return Object.fromEntries(Object.entries(item).filter(says));
}

/** Whether two items say the same wherever both say something. */
export const agree = (one: CatalogueItem, other: CatalogueItem): boolean =>
  sameValue(one, other) || sameValue(told(one, other), told(other, one));

/**
 * Whether an item says more than one kept before some fields were asked for. The same revision with
 * them is the same item, told more of.
 */
export const tellsMore = (item: CatalogueItem, known: CatalogueItem): boolean => {
  const usual = notSaid(item.category);
  const said = (of: CatalogueItem, key: string) =>
    !isSilent((of as unknown as Readonly<Record<string, unknown>>)[key], usual[key]);
  return (
    item.category === known.category &&
    Object.keys(usual).some((key) => said(item, key) && !said(known, key)) &&
    agree(item, known)
  );
};
