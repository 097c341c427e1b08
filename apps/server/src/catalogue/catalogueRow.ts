import type { CatalogueItem } from '@brookrain/core';
import { documentHash } from '../storage/documentHash.ts';

/** A revision of a catalogue item as it is stored. */
export interface CatalogueRow {
  readonly id: string;
  readonly revision: number;
  readonly category: string;
  /** the item as JSON */
  readonly item: string;
  readonly hash: string;
}

export const catalogueRow = (item: CatalogueItem): CatalogueRow => ({
  id: item.id,
  revision: item.revision,
  category: item.category,
  item: JSON.stringify(item),
  hash: documentHash(item),
});
